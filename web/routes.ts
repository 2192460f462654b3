import type { RouteLocation, RouteRecordRaw } from 'vue-router';

declare module 'vue-router' {
  interface RouteMeta {
    title: string;
    open?: boolean;
    /** The address of what the screen shows, asked for beside its script. */
    asks?: (to: RouteLocation) => string;
  }
}

const ofDog = (what: string) => (to: RouteLocation) => `/api/dogs/${String(to.params.id)}/${what}`;

/** Every screen and its address. */
export const routes: readonly RouteRecordRaw[] = [
  { path: '/', name: 'welcome', component: () => import('./views/WelcomeView.vue'), meta: { title: 'Banter', open: true } },
  { path: '/sign-in', name: 'sign-in', component: () => import('./views/SignInView.vue'), meta: { title: 'Sign in', open: true } },
  { path: '/sign-up', name: 'sign-up', component: () => import('./views/SignUpView.vue'), meta: { title: 'Make a kennel', open: true } },
  { path: '/join', name: 'join', component: () => import('./views/JoinView.vue'), meta: { title: 'Join a kennel', open: true } },
  { path: '/owner', name: 'owner', component: () => import('./views/OwnerView.vue'), meta: { title: 'Your dog', open: true } },
  { path: '/outbox', name: 'outbox', component: () => import('./views/OutboxView.vue'), meta: { title: 'Not saved yet' } },
  { path: '/today', name: 'today', component: () => import('./views/TodayView.vue'), meta: { title: 'Today' } },
  { path: '/dogs', name: 'dogs', component: () => import('./views/DogsView.vue'), meta: { title: 'Dogs', asks: () => '/api/dogs?list=here' } },
  { path: '/fit', name: 'fit-now', component: () => import('./views/FitNowView.vue'), meta: { title: 'Fit now', asks: () => '/api/bench' } },
  { path: '/dogs/new', name: 'new-dog', component: () => import('./views/DogFormView.vue'), meta: { title: 'Add a dog' } },
  { path: '/dogs/:id', name: 'dog', component: () => import('./views/DogView.vue'), meta: { title: 'Dog', asks: ofDog('neck') } },
  { path: '/dogs/:id/edit', name: 'edit-dog', component: () => import('./views/DogFormView.vue'), meta: { title: 'Change a dog' } },
  { path: '/dogs/:id/tape', name: 'tape', component: () => import('./views/TapeView.vue'), meta: { title: 'Tape', asks: ofDog('bench') } },
  { path: '/dogs/:id/screen', name: 'screen', component: () => import('./views/ScreenView.vue'), meta: { title: 'Screening', asks: ofDog('page') } },
  { path: '/dogs/:id/bench', name: 'bench', component: () => import('./views/ChooseView.vue'), meta: { title: 'Bench', asks: ofDog('bench') } },
  {
    // Which kinds there are is the bench's to know: the registry of kinds is no part of the first view.
    path: '/dogs/:id/bench/:kind([a-z-]+)',
    name: 'bench-kind',
    component: () => import('./views/BenchKindView.vue'),
    meta: { title: 'Bench', asks: ofDog('bench') },
  },
  { path: '/dogs/:id/check', name: 'check', component: () => import('./views/CheckView.vue'), meta: { title: 'Fit check', asks: ofDog('page') } },
  {
    path: '/dogs/:id/neck/:part(stack|rig|contacts|skin|wear)?',
    name: 'neck',
    component: () => import('./views/NeckView.vue'),
    meta: { title: 'Neck', asks: ofDog('neck') },
  },
  { path: '/dogs/:id/door', name: 'door', component: () => import('./views/DoorView.vue'), meta: { title: 'Check before we go', asks: ofDog('neck') } },
  {
    path: '/dogs/:id/programme',
    name: 'programme',
    component: () => import('./views/ProgrammeView.vue'),
    meta: { title: 'Programme', asks: ofDog('programmes') },
  },
  { path: '/dogs/:id/growth', name: 'growth', component: () => import('./views/GrowthView.vue'), meta: { title: 'Growth', asks: ofDog('growth') } },
  {
    path: '/dogs/:id/handover',
    name: 'handover',
    component: () => import('./views/HandoverView.vue'),
    meta: { title: 'Handover', asks: ofDog('handovers') },
  },
  { path: '/dogs/:id/levels', name: 'levels', component: () => import('./views/LevelsView.vue'), meta: { title: 'Levels', asks: ofDog('levels') } },
  { path: '/programme', name: 'calendar', component: () => import('./views/CalendarView.vue'), meta: { title: 'Programme' } },
  { path: '/programme/drill', name: 'drill', component: () => import('./views/DrillView.vue'), meta: { title: 'Handling drill' } },
  { path: '/programme/own', name: 'own-programmes', component: () => import('./views/OwnProgrammesView.vue'), meta: { title: 'Own programmes' } },
  { path: '/field', name: 'field', component: () => import('./views/FieldView.vue'), meta: { title: 'Field log' } },
  { path: '/many', name: 'many', component: () => import('./views/ImportView.vue'), meta: { title: 'Size a group' } },
  { path: '/locker', name: 'locker', component: () => import('./views/LockerView.vue'), meta: { title: 'Locker' } },
  { path: '/locker/:id', name: 'collar', component: () => import('./views/CollarView.vue'), meta: { title: 'Measure your collar' } },
  { path: '/class', name: 'class', component: () => import('./views/KitUpView.vue'), meta: { title: 'Kit up a class', asks: () => '/api/class' } },
  { path: '/upkeep', name: 'upkeep', component: () => import('./views/UpkeepView.vue'), meta: { title: 'Upkeep', asks: () => '/api/upkeep?list=due' } },
  { path: '/me', name: 'me', component: () => import('./views/MyAccountView.vue'), meta: { title: 'My account' } },
  { path: '/house', name: 'house', component: () => import('./views/HouseView.vue'), meta: { title: 'House rules' } },
  { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./views/NowhereView.vue'), meta: { title: 'Not here', open: true } },
];
