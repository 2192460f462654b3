/** Certificates for trying: an authority of our own, and one certificate that it has signed for a number of addresses. Made by openssl. */
import { chmodSync, copyFileSync, existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runToEnd } from './commands.mjs';
import { Refusal } from './say.mjs';

const DAYS = '3650';

async function openssl(cwd, env, ...args) {
  const done = await runToEnd('openssl', args, { cwd, env, quiet: true });
  if (done.code !== 0) throw new Refusal(`a certificate could not be made: ${done.output.trim().split('\n').at(-1)}`);
}

/**
 * Makes `ca.pem`, `node.pem` and `node-key.pem` in `dir`, unless they are there.
 * @param {string} dir
 * @param {readonly string[]} addresses by which those who show it are called
 * @param {NodeJS.ProcessEnv} [env] by whose clock they begin to hold
 */
export async function ensureCertificates(dir, addresses, env = process.env) {
  if (existsSync(join(dir, 'node.pem'))) return;
  mkdirSync(dir, { recursive: true, mode: 0o700 });
  const key = ['-newkey', 'rsa:2048', '-nodes'];
  await openssl(dir, env, 'req', '-x509', ...key, '-keyout', 'ca-key.pem', '-out', 'ca.pem', '-days', DAYS, '-subj', '/CN=Banter, for trying');
  await openssl(dir, env, 'req', ...key, '-keyout', 'node-key.pem', '-out', 'node.csr', '-subj', '/CN=banter-node');
  writeFileSync(join(dir, 'node.ext'), `subjectAltName=${addresses.map((address) => `IP:${address}`).join(',')}\n`);
  await openssl(dir, env, 'x509', '-req', '-in', 'node.csr', '-CA', 'ca.pem', '-CAkey', 'ca-key.pem', '-CAcreateserial', '-extfile', 'node.ext', '-days', DAYS, '-out', 'node.pem'); // prettier-ignore
}

/** Lays what a node shows, and whom it believes, into its folder. */
export function layCertificates(from, folder) {
  for (const name of ['ca.pem', 'node.pem', 'node-key.pem']) {
    copyFileSync(join(from, name), join(folder, name));
    chmodSync(join(folder, name), 0o600);
  }
}
