import { REMOTE_PUT_ON } from '@banter/core/collars/electronic';
import { REMOTE_TRAITS } from '@banter/core/collars/remote';
import { electronicKind, profile } from '../electronic/electronic-kind.ts';

export const remoteKind = electronicKind('remote', {
  name: 'Remote electronic',
  noun: REMOTE_TRAITS.noun,
  traits: REMOTE_TRAITS,
  about: 'Speaks at a distance but does not point; early on the leash guides while it reminds.',
  caution:
    'Never a leash on it; move it through the day; off overnight. A loose collar is the commonest fault, and a higher level never its cure. A first one belongs with a professional.',
  putOn: REMOTE_PUT_ON,
  usual: [
    { name: 'Small receiver', numbers: profile(65, 45, [12, 16]) },
    { name: 'Usual receiver', numbers: profile(95, 62, [12, 16, 20]) },
  ],
});
