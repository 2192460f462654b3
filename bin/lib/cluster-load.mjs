/** Phones of a kennel that keep places and sessions of the field log on a cluster, and ask again, with the same ids, until each is acknowledged. */
import { say } from './say.mjs';

const WRITERS = 12;
/** A phone's outbox asks again after so long, ms. */
const AGAIN_MS = 150;
/** Somebody new comes so often, ms. */
const NEWCOMER_MS = 300;
/** So long one waits for an answer, ms. */
const PATIENCE_MS = 15_000;
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const JSON_TYPE = { 'content-type': 'application/json' };

/** A dog that nothing is known of but what must be said. */
const DOG = {
  name: '',
  ...{ breed: 'Crossbreed', sex: 'female', bornOn: '2023-04-01', bornGuessed: false, weightG: 29_000, neckBuild: 'average', pull: 'drags' },
  ...{ worksOn: 'left', heelLine: '', toolsWhere: null, acquaintance: null, manner: null, nickel: null, saltWater: null },
  ...{ owner: '', notes: '', placeId: null, house: null, archivedAt: null },
};

/** What became of one request: the answer's status and body, or why there was none. */
async function send(method, url, cookie, body) {
  try {
    const signal = AbortSignal.timeout(PATIENCE_MS);
    const answer = await fetch(url, { method, headers: { cookie, ...JSON_TYPE }, body: JSON.stringify(body), signal });
    return { status: answer.status, body: await answer.json() };
  } catch (error) {
    return { status: error.cause?.code ?? error.name, body: null };
  }
}

/** Signs a kennel up; answers what its person is known by. Throws where that is refused, or where who was just let in is not known. */
export async function signUp(address, email = 'survives@example.org') {
  const account = {
    kennelName: 'Survives',
    name: 'Tester',
    email,
    password: 'a long password',
    timeZone: 'Europe/London',
    lengthUnit: 'cm',
    massUnit: 'kg',
  };
  const answer = await fetch(`${address}/api/sign-up`, { method: 'POST', headers: JSON_TYPE, body: JSON.stringify(account) });
  if (answer.status !== 201) throw new Error(`sign-up ${answer.status}`);
  const cookie = answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
  const looked = await fetch(`${address}/api/doorstep`, { headers: { cookie } });
  const { me } = await looked.json();
  if (looked.status !== 200 || !me) throw new Error(looked.status === 200 ? 'not known' : `looked ${looked.status}`);
  return { cookie, personId: me.person.id };
}

/**
 * Begins the load. What was acknowledged is told by table and id; `since()` says what happened since it was asked last.
 * @param {string} address @param {{ cookie: string, personId: string }} person @param {() => string} uuidv7
 */
export function beginLoad(address, { cookie, personId }, uuidv7) {
  const acknowledged = { places: [], happenings: [] };
  const refusals = [];
  let stopping = false;
  let lastAt = performance.now();
  let [longest, slowest, clockAsked] = [0, 0, 0];

  async function until(attempt) {
    const begun = performance.now();
    while (!stopping) {
      const said = await attempt();
      if (said === null) {
        const now = performance.now();
        longest = Math.max(longest, now - lastAt);
        slowest = Math.max(slowest, now - begun);
        lastAt = now;
        return true;
      }
      refusals.push(said);
      await pause(AGAIN_MS);
    }
    return false;
  }
  async function keepPlace(name) {
    const id = uuidv7();
    const place = { name, collars: {}, checkedBy: '', checkedOn: null, source: '', retiredAt: null };
    const kept = await until(async () => {
      const { status } = await send('PUT', `${address}/api/places/${id}`, cookie, place);
      return status === 201 || status === 200 ? null : status;
    });
    if (kept) acknowledged.places.push(id);
  }
  async function keepSession(dogId) {
    const sessionId = uuidv7();
    const now = Date.now();
    const told = [
      { event: 'begin', dogId, setting: 'yard', handlerId: personId, purpose: 'work' },
      { event: 'cue' },
      { event: 'reward' },
      { event: 'end' },
    ].map((one, place) => ({ id: uuidv7(), sessionId, at: new Date(now - 8 + place * 2).toISOString(), ...one }));
    /** Whose clock is right, where a server asks: the phone's. */
    let clock = null;
    const kept = await until(async () => {
      const batch = { source: 'hand', phone: 'trial', sentAt: new Date().toISOString(), clock, happenings: told };
      const { status, body } = await send('POST', `${address}/api/happenings`, cookie, batch);
      if (body?.code === 'clock-off') {
        clock = { aheadMs: 0 };
        clockAsked += 1;
      }
      if (status !== 200) return body?.code ?? status;
      return body.results.find((result) => result.status !== 'kept' && result.status !== 'known')?.message ?? null;
    });
    if (kept) acknowledged.happenings.push(...told.map(({ id }) => id));
  }
  async function writer(number) {
    const dogId = uuidv7();
    await until(async () => {
      const { status, body } = await send('PUT', `${address}/api/dogs/${dogId}`, cookie, { ...DOG, name: `Trial ${number}` });
      return status === 201 || status === 200 ? null : (body?.errors?.[0]?.message ?? body?.code ?? status);
    });
    for (let count = 0; !stopping; count += 1) await (count % 2 === 0 ? keepPlace(`Field ${number}.${count}`) : keepSession(dogId));
  }
  /** People who come one after another, and look round at once. */
  async function newcomers() {
    for (let count = 0; !stopping; count += 1) {
      // Refused while nothing can be kept, they come again; let in, they are known.
      await signUp(address, `newcomer-${count}@example.org`).catch((error) => refusals.push(error.cause?.code ?? error.message));
      await pause(NEWCOMER_MS);
    }
  }
  const all = [newcomers(), ...Array.from({ length: WRITERS }, (_none, number) => writer(number))];
  return {
    acknowledged,
    since: () => {
      longest = Math.max(longest, performance.now() - lastAt);
      const seen = { longest, slowest, clockAsked, refused: refusals.splice(0) };
      [longest, slowest, clockAsked] = [0, 0, 0];
      return seen;
    },
    stop: () => ((stopping = true), Promise.all(all)),
  };
}

const inSeconds = (ms) => `${(ms / 1000).toFixed(2)} s`;
function wordsOf(refused) {
  const counts = new Map();
  for (const what of refused) counts.set(what, (counts.get(what) ?? 0) + 1);
  return [...counts].map(([what, count]) => `${count} × ${what}`).join(', ') || 'none';
}

/** Says what happened to the load since that was said last. */
export function tellLoad(what, load) {
  const { longest, slowest, clockAsked, refused } = load.since();
  const asked = clockAsked > 0 ? ` · asked whose clock is right ${clockAsked} times` : '';
  say(`${what.padEnd(38)} nothing kept for ${inSeconds(longest)} at most · slowest ${inSeconds(slowest)} · refused ${wordsOf(refused)}${asked}`);
}

/** How many of those acknowledged are missing on some node, of all nodes together; says so for each. */
export async function acknowledgedMissing({ acknowledged }, nodes) {
  const missing = await Promise.all(
    nodes.map(async (node) => {
      let count = 0;
      for (const [table, ids] of Object.entries(acknowledged)) {
        const there = new Set((await node.sql(`SELECT id FROM ${table}`, 'banter')).split('\n'));
        count += ids.filter((id) => !there.has(id)).length;
      }
      return count;
    }),
  );
  const all = Object.values(acknowledged).reduce((sum, ids) => sum + ids.length, 0);
  say(`${all} records acknowledged; of those missing on the nodes: ${missing.join(', ')}`);
  return missing.reduce((sum, count) => sum + count, 0);
}
