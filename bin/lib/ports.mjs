/** Ports on loopback. */
import { createServer } from 'node:net';
import { Refusal } from './say.mjs';

/**
 * Opens a port for a moment to learn whether it can be had; 0 asks for any free one.
 * @param {number} port
 * @returns {Promise<number | null>} the port, or null when somebody else has it
 */
export function tryPort(port) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', (error) => {
      if (error.code === 'EADDRINUSE' || error.code === 'EACCES') resolve(null);
      else reject(error);
    });
    server.listen(port, '127.0.0.1', () => {
      const { port: got } = server.address();
      server.close(() => resolve(got));
    });
  });
}

/**
 * The port to serve on, from PORT; throws a Refusal when it is not a port or is taken.
 * @param {string | undefined} wanted
 */
export async function servingPort(wanted) {
  const port = wanted === undefined || wanted === '' ? 8080 : Number(wanted);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Refusal(`PORT is «${wanted}», which is not a port number between 1 and 65535.`);
  }
  if ((await tryPort(port)) === null) {
    throw new Refusal(`port ${port} is in use by another program; stop it, or choose another with «PORT=${port === 8080 ? 8081 : 8080} npm start».`);
  }
  return port;
}

export async function freePort() {
  return await tryPort(0);
}
