import type { MigrationInterface, QueryRunner } from 'typeorm';
import { refers } from './column-sql.ts';
import { makesTable } from './table-migration.ts';

/** A step of the data that is only taken forwards: what it was before is in a backup. */
function takesStep(name: string, statement: string): new () => MigrationInterface {
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(statement);
    }
    down(): Promise<void> {
      return Promise.reject(new Error(`${name} is not undone; go back with a backup.`));
    }
  };
}

/**
 * One log of what happens. What was told of sessions and what was told of collars and devices lay in two tables, and some of it in both, under
 * the same id: a press of a device in the session in which it fell, a contact felt in a session. Those become one row, with the session of the
 * one and the teller of the other.
 */
export const oneLogMigrations = [
  makesTable(
    'Happenings1764000000145',
    'happenings',
    `id uuid NOT NULL,
     kennelId uuid NOT NULL,
     event varchar(20) CHARACTER SET ascii NOT NULL,
     dogId uuid NULL,
     collarId uuid NULL,
     sessionId uuid NULL,
     eventId uuid NULL,
     data json NOT NULL,
     source varchar(10) CHARACTER SET ascii NOT NULL CHECK (source IN ('hand', 'stand-in', 'bridge')),
     phone varchar(40) NOT NULL,
     personId uuid NULL,
     bridgeId uuid NULL,
     saidAt datetime(3) NOT NULL,
     at datetime(3) NOT NULL,
     recordedAt datetime(3) NOT NULL,
     PRIMARY KEY (kennelId, id),
     KEY ofDog (kennelId, dogId, event, at),
     KEY ofCollar (kennelId, collarId, event, at),
     KEY ofSession (kennelId, sessionId, at),
     KEY byEvent (kennelId, event, at),
     CHECK ((personId IS NULL) <> (bridgeId IS NULL)),
     FOREIGN KEY (kennelId) REFERENCES kennels (id),
     ${refers('dogId', 'dogs')},
     ${refers('collarId', 'collars')},
     ${refers('personId', 'people')},
     ${refers('bridgeId', 'bridges')}`,
  ),
  takesStep(
    'ToldOfSessions1764000000146',
    `INSERT INTO happenings (id, kennelId, event, dogId, collarId, sessionId, eventId, data, source, phone, personId, bridgeId, saidAt, at, recordedAt)
     SELECT field.id, field.kennelId, IF(field.event = 'looked-into', 'looked-through', field.event), field.dogId,
            JSON_VALUE(field.data, '$.collarId'), field.sessionId, JSON_VALUE(field.data, '$.eventId'),
            JSON_REMOVE(field.data, '$.dogId', '$.collarId', '$.eventId'), COALESCE(told.source, 'hand'), IF(field.phone = 'device', '', field.phone),
            IF(told.bridgeId IS NULL, COALESCE(told.personId, field.personId), NULL), told.bridgeId, field.saidAt, field.at, field.recordedAt
       FROM field_events field LEFT JOIN events told ON told.kennelId = field.kennelId AND told.id = field.id`,
  ),
  takesStep(
    'ToldOfCollars1764000000147',
    `INSERT INTO happenings (id, kennelId, event, dogId, collarId, sessionId, eventId, data, source, phone, personId, bridgeId, saidAt, at, recordedAt)
     SELECT told.id, told.kennelId, told.event, told.dogId, told.collarId, NULL, told.eventId, told.data, told.source, '', told.personId, told.bridgeId,
            told.at, told.at, told.recordedAt
       FROM events told WHERE NOT EXISTS (SELECT 1 FROM field_events field WHERE field.kennelId = told.kennelId AND field.id = told.id)`,
  ),
  // What takes something of a collar back is found with that collar.
  takesStep(
    'TakenBackOfCollars1764000000148',
    `UPDATE happenings taking JOIN happenings taken ON taken.kennelId = taking.kennelId AND taken.id = taking.eventId
        SET taking.collarId = taken.collarId WHERE taking.event = 'void' AND taking.collarId IS NULL`,
  ),
  takesStep('TakenBackOnce1764000000149', `ALTER TABLE happenings ADD ${refers('eventId', 'happenings')}`),
  takesStep('FieldEventsGone1764000000150', 'DROP TABLE field_events'),
  takesStep('EventsGone1764000000151', 'DROP TABLE events'),
];
