import { createRouter, createWebHistory } from 'vue-router';
import { useSession } from './stores/session.ts';

declare module 'vue-router' {
  interface RouteMeta {
    title: string;
    open?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'welcome', component: () => import('./views/WelcomeView.vue'), meta: { title: 'Banter', open: true } },
    { path: '/sign-in', name: 'sign-in', component: () => import('./views/SignInView.vue'), meta: { title: 'Sign in', open: true } },
    { path: '/sign-up', name: 'sign-up', component: () => import('./views/SignUpView.vue'), meta: { title: 'Make a kennel', open: true } },
    { path: '/join', name: 'join', component: () => import('./views/JoinView.vue'), meta: { title: 'Join a kennel', open: true } },
    { path: '/owner', name: 'owner', component: () => import('./views/OwnerView.vue'), meta: { title: 'Your dog', open: true } },
    { path: '/outbox', name: 'outbox', component: () => import('./views/OutboxView.vue'), meta: { title: 'Not saved yet' } },
    { path: '/today', name: 'today', component: () => import('./views/TodayView.vue'), meta: { title: 'Today' } },
    { path: '/dogs', name: 'dogs', component: () => import('./views/DogsView.vue'), meta: { title: 'Dogs' } },
    { path: '/dogs/new', name: 'new-dog', component: () => import('./views/DogFormView.vue'), meta: { title: 'Add a dog' } },
    { path: '/dogs/:id', name: 'dog', component: () => import('./views/DogView.vue'), meta: { title: 'Dog' } },
    { path: '/dogs/:id/edit', name: 'edit-dog', component: () => import('./views/DogFormView.vue'), meta: { title: 'Change a dog' } },
    { path: '/dogs/:id/tape', name: 'tape', component: () => import('./views/TapeView.vue'), meta: { title: 'Tape' } },
    { path: '/dogs/:id/screen', name: 'screen', component: () => import('./views/ScreenView.vue'), meta: { title: 'Screening' } },
    { path: '/dogs/:id/bench', name: 'bench', component: () => import('./views/ChooseView.vue'), meta: { title: 'Bench' } },
    {
      // Which kinds there are is the bench's to know: the registry of kinds is no part of the first view.
      path: '/dogs/:id/bench/:kind([a-z-]+)',
      name: 'bench-kind',
      component: () => import('./views/BenchKindView.vue'),
      meta: { title: 'Bench' },
    },
    { path: '/dogs/:id/check', name: 'check', component: () => import('./views/CheckView.vue'), meta: { title: 'Fit check' } },
    {
      path: '/dogs/:id/neck/:part(stack|rig|contacts|skin|wear)?',
      name: 'neck',
      component: () => import('./views/NeckView.vue'),
      meta: { title: 'Neck' },
    },
    { path: '/dogs/:id/door', name: 'door', component: () => import('./views/DoorView.vue'), meta: { title: 'Check before we go' } },
    { path: '/dogs/:id/programme', name: 'programme', component: () => import('./views/ProgrammeView.vue'), meta: { title: 'Programme' } },
    { path: '/dogs/:id/growth', name: 'growth', component: () => import('./views/GrowthView.vue'), meta: { title: 'Growth' } },
    { path: '/dogs/:id/handover', name: 'handover', component: () => import('./views/HandoverView.vue'), meta: { title: 'Handover' } },
    { path: '/dogs/:id/levels', name: 'levels', component: () => import('./views/LevelsView.vue'), meta: { title: 'Levels' } },
    { path: '/programme', name: 'calendar', component: () => import('./views/CalendarView.vue'), meta: { title: 'Programme' } },
    { path: '/programme/drill', name: 'drill', component: () => import('./views/DrillView.vue'), meta: { title: 'Handling drill' } },
    { path: '/programme/own', name: 'own-programmes', component: () => import('./views/OwnProgrammesView.vue'), meta: { title: 'Own programmes' } },
    { path: '/field', name: 'field', component: () => import('./views/FieldView.vue'), meta: { title: 'Field log' } },
    { path: '/many', name: 'many', component: () => import('./views/ImportView.vue'), meta: { title: 'Many at once' } },
    { path: '/locker', name: 'locker', component: () => import('./views/LockerView.vue'), meta: { title: 'Locker' } },
    { path: '/locker/:id', name: 'collar', component: () => import('./views/CollarView.vue'), meta: { title: 'Measure your collar' } },
    { path: '/class', name: 'class', component: () => import('./views/KitUpView.vue'), meta: { title: 'Kit up a class' } },
    { path: '/upkeep', name: 'upkeep', component: () => import('./views/UpkeepView.vue'), meta: { title: 'Upkeep' } },
    { path: '/me', name: 'me', component: () => import('./views/MyAccountView.vue'), meta: { title: 'My account' } },
    { path: '/house', name: 'house', component: () => import('./views/HouseView.vue'), meta: { title: 'House rules' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue'), meta: { title: 'Not here', open: true } },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  if (!session.known) await session.look().catch(() => {});
  if (session.me && to.name === 'welcome') return { name: 'dogs' };
  if (!session.me && !to.meta.open) return { name: 'sign-in', query: { to: to.fullPath } };
  return true;
});

router.afterEach((to) => {
  document.title = to.meta.title === 'Banter' ? 'Banter' : `${to.meta.title} · Banter`;
});
