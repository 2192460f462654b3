import { FIRST_SETTINGS, type Me, type NewPassword, type PersonFacts, type SignIn, type SignUp } from '@banter/contract';
import { hash, verify } from '@node-rs/argon2';
import { IsNull, type DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { KennelEntity, type KennelRow } from '../data/entities/kennel.ts';
import { PersonEntity, type PersonRow } from '../data/entities/person.ts';
import { writeDeed } from '../records/deeds.ts';
import type { Somebody } from '../data/session-store.ts';
import { badField, Failure } from './failure.ts';
import { KennelScope } from './kennel-scope.ts';
import { kennelAnswer } from './kennels.ts';
import { fingerOf } from './people.ts';

/** Argon2id at the least memory and passes of OWASP's Password Storage Cheat Sheet (19 MiB, 2 passes, 1 lane). */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** A hash of no password, so that an unknown e-mail takes as long as a wrong password. */
const nobody = hash(uuidv7(), ARGON2);

/** Refuses one more kennel of an e-mail that has its most already. */
export async function roomForEmail(dataSource: DataSource, email: string): Promise<void> {
  if ((await dataSource.getRepository(PersonEntity).countBy({ email })) >= MOST_OF_ONE_EMAIL) throw new Failure('too-many');
}

/** Refuses a password by which an e-mail signs in elsewhere already: signing in could not tell the two apart. */
export async function passwordOfItsOwn(dataSource: DataSource, email: string, password: string, but: Somebody | null = null): Promise<void> {
  const others = await dataSource.getRepository(PersonEntity).find({ where: { email, leftAt: IsNull() }, take: MOST_OF_ONE_EMAIL });
  for (const { id, kennelId, passwordHash } of others) {
    if (passwordHash === null || (but?.kennelId === kennelId && but.personId === id)) continue;
    if (await verify(passwordHash, password)) throw badField('password', 'You sign in elsewhere with this one: choose another here.');
  }
}

/** A password as it is kept. */
export const hashOfPassword = (password: string): Promise<string> => hash(password, ARGON2);

/** Kennels that one e-mail may sign in to, each with a password of its own. */
const MOST_OF_ONE_EMAIL = 5;

export function meAnswer(person: PersonRow, kennel: KennelRow): Me {
  return { person: { id: person.id, name: person.name, email: person.email ?? '', role: person.role, finger: fingerOf(person) }, kennel: kennelAnswer(kennel) };
}

/** Kennels and people that sign in. */
export class Accounts {
  private readonly dataSource: DataSource;

  constructor(dataSource: DataSource) {
    this.dataSource = dataSource;
  }

  /**
   * Makes a kennel with its first person. An e-mail that is known already is answered as any other: it gets a kennel more, or, with
   * the password of one that it has, enters that one. Nobody learns from it who has a kennel.
   */
  async signUp(request: SignUp): Promise<Me> {
    try {
      new Intl.DateTimeFormat('en', { timeZone: request.timeZone });
    } catch {
      throw badField('timeZone', 'This time zone is not known.');
    }
    const known = await this.personOf(request);
    if (known) return (await this.me({ kennelId: known.kennelId, personId: known.id }))!;
    await roomForEmail(this.dataSource, request.email);
    const passwordHash = await hashOfPassword(request.password);
    const now = new Date();
    const kennel: KennelRow = {
      id: uuidv7(),
      version: 1,
      name: request.kennelName.trim(),
      lengthUnit: request.lengthUnit,
      massUnit: request.massUnit,
      timeZone: request.timeZone,
      ...FIRST_SETTINGS,
      demo: false,
      createdAt: now,
    };
    const person: PersonRow = {
      id: uuidv7(),
      kennelId: kennel.id,
      name: request.name.trim(),
      email: request.email,
      passwordHash,
      fingerThicknessMm: null,
      fingerWidthMm: null,
      role: 'lead',
      leftAt: null,
      createdAt: now,
    };
    await this.dataSource.transaction(async (manager) => {
      await manager.insert(KennelEntity, kennel);
      await manager.insert(PersonEntity, person);
      await writeDeed(new KennelScope(manager, { kennelId: kennel.id, personId: person.id, role: 'lead' }), {
        act: 'made',
        kind: 'kennel',
        label: kennel.name,
      });
    });
    return meAnswer(person, kennel);
  }

  /** Somebody by e-mail and password, or null. It takes as long for an e-mail that nobody has. */
  private async personOf({ email, password }: SignIn): Promise<PersonRow | null> {
    const people = await this.dataSource
      .getRepository(PersonEntity)
      .find({ where: { email, leftAt: IsNull() }, order: { createdAt: 'ASC', id: 'ASC' }, take: MOST_OF_ONE_EMAIL });
    const theirs = people.filter(({ passwordHash }) => passwordHash !== null);
    if (theirs.length === 0) await verify(await nobody, password);
    for (const person of theirs) if (await verify(person.passwordHash!, password)) return person;
    return null;
  }

  /** The person of an e-mail and password; fails alike whether the e-mail or the password is wrong. */
  async signIn(asked: SignIn): Promise<Me> {
    const person = await this.personOf(asked);
    if (!person) throw new Failure('wrong-sign-in');
    return (await this.me({ kennelId: person.kennelId, personId: person.id }))!;
  }

  /** Signs in to the demo kennel, where this database has one. */
  async signInToDemo(): Promise<Me> {
    const kennel = await this.demoKennel();
    const person =
      kennel &&
      (await this.dataSource.getRepository(PersonEntity).findOne({ where: { kennelId: kennel.id, leftAt: IsNull() }, order: { createdAt: 'ASC', id: 'ASC' } }));
    if (!kennel || !person) throw new Failure('not-found');
    return meAnswer(person, kennel);
  }

  async demoKennel(): Promise<KennelRow | null> {
    return await this.dataSource.getRepository(KennelEntity).findOneBy({ demo: true });
  }

  /** Changes what somebody says of themselves. */
  async change({ kennelId, personId }: Somebody, { finger }: PersonFacts): Promise<Me> {
    const scope = new KennelScope(this.dataSource, { kennelId, personId, role: 'reader' });
    await scope.change(PersonEntity, personId, { fingerThicknessMm: finger?.thicknessMm ?? null, fingerWidthMm: finger?.widthMm ?? null });
    return (await this.me({ kennelId, personId }))!;
  }

  /** Changes a password; the old one must be right. Whoever has none, as in the demo, gets none. */
  async changePassword({ kennelId, personId }: Somebody, { old, password }: NewPassword): Promise<void> {
    const people = this.dataSource.getRepository(PersonEntity);
    const person = await people.findOneByOrFail({ id: personId, kennelId });
    if (!person.passwordHash) throw badField('old', 'Nobody signs in with a password here.');
    if (!(await verify(person.passwordHash, old))) throw badField('old', 'This is not the password that holds now.');
    if (person.email) await passwordOfItsOwn(this.dataSource, person.email, password, { kennelId, personId });
    const passwordHash = await hashOfPassword(password);
    await new KennelScope(this.dataSource, { kennelId, personId, role: 'reader' }).inOne(async (scope) => {
      await scope.change(PersonEntity, personId, { passwordHash });
      await writeDeed(scope, { act: 'changed', kind: 'session' });
    });
  }

  /** Who a person is, or null when they are gone or have left. */
  async me({ kennelId, personId }: Somebody): Promise<Me | null> {
    const person = await this.dataSource.getRepository(PersonEntity).findOneBy({ id: personId, kennelId, leftAt: IsNull() });
    const kennel = person && (await this.dataSource.getRepository(KennelEntity).findOneBy({ id: person.kennelId }));
    return person && kennel ? meAnswer(person, kennel) : null;
  }
}
