import {
  collarKind,
  COLLAR_KIND_NAMES,
  fromCsvText,
  kennelPart,
  NewTaping,
  type CollarKindName,
  type CsvTable,
  type KennelPartName,
  type z,
} from '@banter/contract';
import { POSSIBLE_TAPE_MM, readLength, readMass, TAPE_SITES, type TapeSite, NOTHING_NOTED } from '@banter/core';
import { DateTime } from 'luxon';
import { v7 as uuidv7 } from 'uuid';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PressEntity } from '../data/entities/field-log.ts';
import { kennelAnswer, kennelOf } from '../services/kennels.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { tapingKind } from '../services/tapings.ts';
import { cellReader, plainHeading } from './csv-cells.ts';
import { CSV_PARTS } from './csv-tables.ts';
import { PART_TABLES, toFile, type AnyRow, type FileRecord } from './part-tables.ts';

/** A row that cannot be taken, in a sentence. */
export class BadRow extends Error {}
type Records = [KennelPartName, FileRecord][];
/** The cells of a row by the plain heading of their column. */
type Cells = ReadonlyMap<string, string>;

/** How other programs head what a table needs; compared without case, spaces and signs. The unit may stand behind it: «weight (kg)». */
const SPELLED = {
  dog: ['dog', 'dogname', 'name', 'callname'],
  breed: ['breed'],
  sex: ['sex', 'gender'],
  born: ['bornon', 'born', 'birthdate', 'birthday', 'dateofbirth', 'dob'],
  weight: ['weight', 'mass', 'weightkg', 'weightlb', 'weightlbs', 'weightg'],
  owner: ['owner', 'ownername', 'client', 'customer'],
  notes: ['notes', 'note', 'remarks', 'comment', 'comments'],
  at: ['at', 'date', 'day', 'time', 'when', 'taken', 'datetime', 'timestamp'],
  site: ['site', 'where', 'measure', 'place'],
  readings: ['readingsmm', 'readings', 'reading', 'girth', 'girthmm', 'girthcm', 'girthin', 'neck', 'neckcm', 'neckin'],
  clock: ['clock', 'clockplace', 'oclock'],
  grade: ['grade', 'skin', 'skingrade'],
  under: ['under', 'tool'],
  collar: ['collar', 'device', 'collarname', 'devicename'],
  level: ['level', 'stimulation', 'intensity'],
  mode: ['mode', 'type'],
  kind: ['kind', 'type', 'collartype'],
  named: ['name', 'collar', 'collarname'],
  metal: ['metal', 'material'],
  way: ['way', 'with'],
} as const satisfies Record<string, readonly string[]>;
type Column = keyof typeof SPELLED;
const UNIT = /(kg|lbs?|g|mm|cm|in)$/;

/** The cell of a column by any of its spellings, with the unit its heading names. */
function cellOf(cells: Cells, what: Column): { text: string; unit: string | null } | null {
  for (const heading of SPELLED[what]) {
    const text = cells.get(heading);
    if (text === undefined) continue;
    const unit = UNIT.exec(heading)?.[1] ?? null;
    return { text: fromCsvText(text).trim(), unit: unit && heading !== unit && ['weight', 'readings'].includes(what) ? unit.replace('lbs', 'lb') : null };
  }
  return null;
}
const textOf = (cells: Cells, what: Column): string => cellOf(cells, what)?.text ?? '';

/** Turns the rows of one table into records of a kennel's file. */
export class RowReader {
  private readonly dogs = new Map<string, { id: string; weightG: number | null; neckBuild: string }[]>();
  private readonly collars = new Map<string, { id: string; kind: string }[]>();
  private readonly scope: KennelScope;
  private readonly table: CsvTable;
  private readonly kennel: ReturnType<typeof kennelAnswer>;
  private readonly now = new Date();
  /** Whether the table is one of our own, with every field of a record. */
  whole = false;

  private constructor(scope: KennelScope, table: CsvTable, kennel: ReturnType<typeof kennelAnswer>) {
    this.scope = scope;
    this.table = table;
    this.kennel = kennel;
  }

  static async of(scope: KennelScope, table: CsvTable): Promise<RowReader> {
    const reader = new RowReader(scope, table, kennelAnswer(await kennelOf(scope)));
    const under = <One extends { id: string }>(map: Map<string, One[]>, one: One & { name: string }) => {
      for (const key of [one.id, one.name.trim().toLowerCase()]) map.set(key, [...(map.get(key) ?? []), one]);
    };
    for (const one of await scope.all(DogEntity, {}, {})) under(reader.dogs, one);
    for (const one of await scope.all(CollarEntity, {}, {})) under(reader.collars, one);
    return reader;
  }

  /** Looks at the headings; answers those that nothing is taken from. Throws BadRow when what the table needs is not there. */
  headed(headings: readonly string[]): string[] {
    const plain = headings.map(plainHeading);
    const has = (what: Column) => SPELLED[what].some((heading) => plain.includes(heading));
    const own = this.table === 'presses' ? ['id', 'collarId', 'level', 'mode', 'at'] : Object.keys(kennelPart(CSV_PARTS[this.table]).record.shape);
    this.whole = own.every((name) => plain.includes(plainHeading(name)));
    if (this.whole)
      return headings.filter(
        (_heading, index) =>
          !own.some((name) => plainHeading(name) === plain[index]) &&
          !['dog', 'collar', 'sessionid', 'dogid', 'setting', 'purpose', 'response', 'latencyms'].includes(plain[index]!),
      );
    const needs: Record<CsvTable, readonly Column[]> = {
      dogs: ['dog'],
      tape: ['dog', 'readings', 'at'],
      fits: [],
      presses: ['collar', 'level', 'at'],
      skin: ['dog', 'clock', 'grade', 'at'],
      locker: ['named', 'kind'],
    };
    if (this.table === 'fits')
      throw new BadRow('A fit is decided at the bench from tape and collar. Only a table of fits that was taken out of Banter comes in again.');
    const lacking = needs[this.table].filter((what) => !has(what));
    if (lacking.length > 0) {
      const words: Partial<Record<Column, string>> = {
        dog: 'which dog',
        readings: 'the readings',
        at: 'when',
        collar: 'which device',
        level: 'the level',
        clock: 'the clock place',
        grade: 'the grade',
        named: 'what it is called',
        kind: 'which kind of collar',
      };
      throw new BadRow(`No column says ${lacking.map((what) => words[what]).join(', nor ')}. The columns are: ${headings.slice(0, 20).join(', ')}.`);
    }
    const fields =
      this.table === 'locker'
        ? COLLAR_KIND_NAMES.flatMap((kind) => Object.keys((collarKind(kind).numbers as unknown as { shape: object }).shape).map(plainHeading))
        : [];
    const known = new Set([
      ...Object.values(SPELLED).flat(),
      ...fields,
      'dogid',
      'collarid',
      'id',
      'numbers',
      'way',
      'neckbuild',
      'workson',
      'pull',
      'condition',
      'measuredon',
    ]);
    return headings.filter((_heading, index) => !known.has(plain[index]!));
  }

  async records(cells: Cells): Promise<Records> {
    if (this.whole) return this.table === 'presses' ? this.press(cells) : [[CSV_PARTS[this.table], this.asWritten(cells)]];
    switch (this.table) {
      case 'dogs':
        return this.dog(cells);
      case 'tape':
        return this.taping(cells);
      case 'skin':
        return this.skin(cells);
      case 'locker':
        return this.collar(cells);
      case 'presses':
        return this.press(cells);
      case 'fits':
        throw new BadRow('A fit is decided at the bench.');
    }
  }

  private asWritten(cells: Cells): FileRecord {
    const { shape } = kennelPart(CSV_PARTS[this.table as Exclude<CsvTable, 'presses'>]).record;
    this.readCell ??= cellReader(shape as never);
    return Object.fromEntries(Object.keys(shape).map((name) => [name, this.readCell!(name, cells.get(plainHeading(name)) ?? '')])) as FileRecord;
  }
  private readCell: ReturnType<typeof cellReader> | null = null;

  private one<One>(of: Map<string, One[]>, id: string, name: string, what: string): One {
    const found = of.get(id.toLowerCase()) ?? of.get(name.toLowerCase()) ?? [];
    if (found.length === 0) throw new BadRow(name || id ? `There is no ${what} called «${name || id}» in this kennel.` : `It does not say which ${what}.`);
    if (found.length > 1) throw new BadRow(`There are several ${what}s called «${name}»: give the ${what}Id.`);
    return found[0]!;
  }
  private dogOf = (cells: Cells) => this.one(this.dogs, cells.get('dogid') ?? '', textOf(cells, 'dog'), 'dog');
  private collarOf = (cells: Cells) => this.one(this.collars, cells.get('collarid') ?? '', textOf(cells, 'collar'), 'collar');

  /** An instant as people write it, in the kennel's zone; a day alone is its noon. */
  private at(cells: Cells): string {
    const text = textOf(cells, 'at');
    const zone = this.kennel.timeZone;
    const read = [
      DateTime.fromISO(text, { zone }),
      DateTime.fromSQL(text, { zone }),
      DateTime.fromFormat(text, 'd LLL yyyy', { zone }),
      DateTime.fromFormat(text, 'd LLLL yyyy', { zone }),
    ].find(({ isValid }) => isValid);
    if (!read) throw new BadRow(`«${text}» is no day or time that can be read one way only: write it as 2026-03-31 or 2026-03-31T09:30.`);
    return (/^\d{4}-\d\d-\d\d$|[a-z]/i.test(text) && !/T/.test(text) ? read.set({ hour: 12 }) : read).toUTC().toISO()!;
  }

  private dog(cells: Cells): Records {
    const name = textOf(cells, 'dog');
    if (name === '') throw new BadRow('It does not say the dog’s name.');
    const weight = cellOf(cells, 'weight');
    let weightG: number | null = null;
    if (weight && weight.text !== '') {
      const said = weight.unit && /^[\d.,\s]+$/.test(weight.text) ? `${weight.text} ${weight.unit}` : weight.text;
      const read = readMass(said, this.kennel.massUnit);
      if (read.kind !== 'read') throw new BadRow(`«${said}» is no weight that can be read: write it as 29 kg or 64 lb.`);
      weightG = read.grams;
    }
    const born = textOf(cells, 'born');
    const bornOn = born === '' ? null : DateTime.fromISO(born);
    if (bornOn && !bornOn.isValid) throw new BadRow(`«${born}» is no day that can be read one way only: write it as 2024-03-31.`);
    const sex = textOf(cells, 'sex').toLowerCase();
    const id = uuidv7();
    const chosen = <Word extends string>(heading: string, words: readonly Word[], usual: Word): Word =>
      words.find((word) => word === (cells.get(heading) ?? '').trim().toLowerCase()) ?? usual;
    const record = {
      id,
      version: 1,
      name,
      breed: textOf(cells, 'breed'),
      sex: /^(m|male|dog|boy)$/.test(sex) ? 'male' : /^(f|female|bitch|girl)$/.test(sex) ? 'female' : 'unknown',
      bornOn: bornOn?.toISODate() ?? null,
      bornGuessed: false,
      weightG,
      neckBuild: chosen('neckbuild', ['slender', 'average', 'heavy'], 'average'),
      pull: chosen('pull', ['settled', 'pulls', 'drags'], 'pulls'),
      worksOn: chosen('workson', ['left', 'right'], 'left'),
      ...NOTHING_NOTED,
      heelLine: '',
      toolsWhere: null,
      owner: textOf(cells, 'owner'),
      notes: textOf(cells, 'notes'),
      placeId: null,
      house: null,
      archivedAt: null,
    };
    if (weightG === null) return [['dogs', record]];
    const at = this.now.toISOString();
    return [
      ['dogs', record],
      ['weighings', { id: uuidv7(), dogId: id, weightG, correctsId: null, note: 'From a table.', personId: this.scope.personId, at, recordedAt: at }],
    ];
  }

  private async taping(cells: Cells): Promise<Records> {
    const { id: dogId, weightG, neckBuild } = this.dogOf(cells);
    const readings = cellOf(cells, 'readings')!;
    const site = (TAPE_SITES as readonly string[]).find((one) => one === textOf(cells, 'site').toLowerCase()) ?? 'high';
    const [possible] = [POSSIBLE_TAPE_MM[site as TapeSite]];
    const typed = readings.text
      .replaceAll(/[[\]]/g, '')
      .split(/[;,|]\s*|\s{2,}/)
      .filter(Boolean);
    if (typed.length < 2) throw new BadRow('A taping is two readings at least; this is one. Tape again, or write the readings with a semicolon between.');
    const readingsMm = typed.map((text) => {
      const said = readings.unit && /^[\d./\s]+$/.test(text) ? `${text} ${readings.unit}` : text;
      const read = readLength(said, this.kennel.lengthUnit, { possibleMm: possible });
      if (read.kind !== 'read') throw new BadRow(`«${said}» is no length that can be read for this site: write it as 39.5 cm, 15 1/2 in or 395 mm.`);
      return read.mm;
    });
    const sent = NewTaping.safeParse({
      dogId,
      site,
      way: textOf(cells, 'way') === 'string' ? 'string' : 'tape',
      readingsMm,
      typed: typed.slice(0, 10),
      overCoat: false,
      coatDepthMm: null,
      weightG,
      neckBuild,
      at: this.at(cells),
      correctsId: null,
    });
    if (!sent.success) throw new BadRow(sent.error.issues[0]!.message);
    const row = await tapingKind.compute(this.scope, uuidv7(), sent.data);
    return [['tapings', toFile(PART_TABLES.tapings, { ...row, kennelId: this.scope.kennelId } as unknown as AnyRow)]];
  }

  private skin(cells: Cells): Records {
    const { id: dogId } = this.dogOf(cells);
    const under = textOf(cells, 'under').toLowerCase();
    const at = this.at(cells);
    const [clock, grade] = [Number(textOf(cells, 'clock')), Number(textOf(cells, 'grade'))];
    return [
      [
        'skinLooks',
        {
          id: uuidv7(),
          dogId,
          clock,
          grade,
          under: ['prong', 'contacts', 'strap'].includes(under) ? under : 'strap',
          sore: null,
          note: textOf(cells, 'notes'),
          photoId: null,
          personId: this.scope.personId,
          linkId: null,
          at,
          recordedAt: this.now.toISOString(),
        },
      ],
    ];
  }

  private collar(cells: Cells): Records {
    const said = textOf(cells, 'kind').toLowerCase();
    const kind = COLLAR_KIND_NAMES.find((name) => name === said || collarKind(name).name.toLowerCase() === said) as CollarKindName | undefined;
    if (!kind) throw new BadRow(`«${said}» is no kind of collar known here. Those are: ${COLLAR_KIND_NAMES.join(', ')}.`);
    // A kind's own numbers, each in a column by its name; several in one cell stand with a semicolon between.
    const { shape } = collarKind(kind).numbers as unknown as { shape: Record<string, z.ZodType> };
    const read = cellReader(shape);
    const numbers = Object.fromEntries(
      Object.keys(shape).flatMap((name): [string, unknown][] => {
        const text = fromCsvText(cells.get(plainHeading(name)) ?? '').trim();
        if (text === '') return [];
        const said =
          /;/.test(text) && !text.startsWith('[') ? JSON.stringify(text.split(/;\s*/).map((one) => (Number.isFinite(Number(one)) ? Number(one) : one))) : text;
        return [[name, read(name, said)]];
      }),
    );
    const metal = textOf(cells, 'metal');
    return [
      [
        'collars',
        {
          id: uuidv7(),
          version: 1,
          kind,
          name: textOf(cells, 'named'),
          metal: metal === '' ? null : metal,
          numbers,
          condition: 'sound',
          measuredOn: null,
          owned: true,
          note: textOf(cells, 'notes'),
          retiredAt: null,
        },
      ],
    ];
  }

  /** A press of another program's becomes what its device told; one that a session of ours knows already is left alone. */
  private async press(cells: Cells): Promise<Records> {
    const id = (cells.get('id') ?? '').toLowerCase() || uuidv7();
    if (await this.scope.find(PressEntity, id).catch(() => null)) return [];
    const collar = this.collarOf(cells);
    const mode = textOf(cells, 'mode').toLowerCase() || 'momentary';
    return [
      [
        'happenings',
        {
          id,
          event: 'press',
          dogId: null,
          collarId: collar.id,
          sessionId: null,
          eventId: null,
          data: { level: Number(textOf(cells, 'level')), mode },
          source: 'hand',
          phone: '',
          personId: this.scope.personId,
          bridgeId: null,
          saidAt: this.at(cells),
          at: this.at(cells),
          recordedAt: this.now.toISOString(),
        },
      ],
    ];
  }
}
