import type { Role } from '@banter/contract';
import { EntitySchema } from 'typeorm';

/** Somebody of a kennel. Without e-mail and password they are in the records but cannot sign in. */
export type PersonRow = {
  id: string;
  kennelId: string;
  name: string;
  email: string | null;
  passwordHash: string | null;
  fingerThicknessMm: number | null;
  fingerWidthMm: number | null;
  role: Role;
  /** Since when they are no longer of the kennel: they stand in the records and sign in no more. */
  leftAt: Date | null;
  createdAt: Date;
};

export const PersonEntity = new EntitySchema<PersonRow>({
  name: 'person',
  tableName: 'people',
  columns: {
    id: { type: 'uuid', primary: true },
    kennelId: { type: 'uuid' },
    name: { type: 'varchar', length: 80 },
    email: { type: 'varchar', length: 200, nullable: true },
    passwordHash: { type: 'varchar', length: 200, nullable: true },
    fingerThicknessMm: { type: 'double', nullable: true },
    fingerWidthMm: { type: 'double', nullable: true },
    role: { type: 'varchar', length: 10 },
    leftAt: { type: 'datetime', precision: 3, nullable: true },
    createdAt: { type: 'datetime', precision: 3 },
  },
});
