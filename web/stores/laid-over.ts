import { laidOver, type DogPage } from '@banter/contract';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';

/** Who has gone meanwhile, whose work is still here. */
const NOBODY = { id: '', name: '' };

/** Lays over a dog's page what was made on this device and the kennel does not tell yet. */
export function useLaidOver() {
  const outbox = useOutbox();
  const session = useSession();
  return <Told extends DogPage>(page: Told | null): Told | null => {
    const { me, kennel } = session;
    return page && kennel && outbox.made.length > 0 ? laidOver(page, outbox.made, { kennel, person: me?.person ?? NOBODY }) : page;
  };
}
