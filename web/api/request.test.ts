import { KennelSettings, z } from '@banter/contract';
import { houseSchools } from '@banter/core';
import { expect, it } from 'vitest';
import { drawWith } from './came-along.ts';
import { send } from './request.ts';

it('an answer that came with the page is filled up as any other: a kennel that was kept before a school was asked for takes the default', async () => {
  drawWith({ '/api/kennel': { schools: {} } });
  expect(await send('GET', '/api/kennel', z.object({ schools: KennelSettings.shape.schools, note: z.string().default('') }))).toEqual({
    schools: houseSchools({}),
    note: '',
  });
});
