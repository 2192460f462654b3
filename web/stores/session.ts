import { Doorstep, Me, type Join, type Kennel, type Role, type SignIn, type SignUp } from '@banter/contract';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { forgetEarly } from '../api/early.ts';
import { RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { readStored, writeStored } from './stored.ts';

/** Who is at the bench, and whether there is a demo to look round. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null);
  const demo = ref(false);
  /** A higher role that somebody was given since they signed in, and has from the next time on. */
  const waitingRole = ref<Role | null>(null);
  const known = ref(false);
  // A screen with work on it outlives a sign-in that ended; it still needs its kennel's units and rules.
  const lastKennel = shallowRef<Kennel | null>(null);
  watch(me, (now) => (lastKennel.value = now?.kennel ?? lastKennel.value), { flush: 'sync' });

  /** Who was signed in on this device last: without a connection the field log opens for them. It opens nothing on the server. */
  const REMEMBERED = 'banter.last-me';
  watch(me, (now) => known.value && writeStored(REMEMBERED, now), { flush: 'sync' });

  async function look(): Promise<void> {
    try {
      const doorstep = await send('GET', '/api/doorstep', Doorstep);
      known.value = true;
      me.value = doorstep.me;
      demo.value = doorstep.demo;
      waitingRole.value = doorstep.waitingRole;
      writeStored(REMEMBERED, doorstep.me);
    } catch (failure) {
      if (failure instanceof RequestFailure && failure.mayPass) me.value = readStored(REMEMBERED, Me);
      throw failure;
    }
  }
  const entered = (now: Me) => {
    forgetEarly();
    known.value = true;
    waitingRole.value = null;
    me.value = now;
  };

  return {
    me,
    demo,
    waitingRole,
    known,
    kennel: computed(() => me.value?.kennel ?? lastKennel.value),
    look,
    /** Whether somebody is signed in, or was on this device when it was looked last. */
    mayBeIn: () => me.value !== null || (!known.value && readStored(REMEMBERED, Me) !== null),
    signIn: async (request: SignIn) => entered(await send('POST', '/api/sign-in', Me, request)),
    signUp: async (request: SignUp) => entered(await send('POST', '/api/sign-up', Me, request)),
    join: async (request: Join) => entered(await send('POST', '/api/join', Me, request)),
    signInToDemo: async () => entered(await send('POST', '/api/sign-in/demo', Me)),
    async signOut() {
      await send('POST', '/api/sign-out', null);
      forgetEarly();
      me.value = null;
    },
    changed(kennel: Kennel) {
      if (me.value) me.value = { ...me.value, kennel };
    },
    /** The server no longer knows this sign-in. */
    lost() {
      me.value = null;
    },
  };
});
