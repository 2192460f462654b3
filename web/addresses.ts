/** A screen's address, and what it is made of: the file that draws it, and where what it shows is asked for. */
export type Address = {
  path: string;
  name: string;
  /** The file in `views/`, without its ending. */
  view: string;
  title: string;
  /** Whether somebody who is not signed in may see it. */
  open?: boolean;
  /** Where what it shows is asked for, beside its script; `:name` stands for that part of the screen's own address. */
  asks?: readonly string[];
};

/** What the page of a screen is called, in a list of pages. */
export const pageTitle = (title: string): string => (title === 'Banter' ? title : `${title} · Banter`);

/** What every screen of somebody who is signed in asks for. */
export const ASKED_EVERYWHERE = { whoIsThere: '/api/doorstep', whatIsWorn: '/api/wearing' } as const;

/** Every screen and its address: read by the page, and by the build for what the server sends ahead. */
export const ADDRESSES: readonly Address[] = [
  { path: '/', name: 'welcome', view: 'WelcomeView', title: 'Banter', open: true },
  { path: '/sign-in', name: 'sign-in', view: 'SignInView', title: 'Sign in', open: true },
  { path: '/sign-up', name: 'sign-up', view: 'SignUpView', title: 'Make a kennel', open: true },
  { path: '/join', name: 'join', view: 'JoinView', title: 'Join a kennel', open: true },
  { path: '/owner', name: 'owner', view: 'OwnerView', title: 'Your dog', open: true },
  { path: '/outbox', name: 'outbox', view: 'OutboxView', title: 'Not saved yet' },
  { path: '/today', name: 'today', view: 'TodayView', title: 'Today' },
  { path: '/dogs', name: 'dogs', view: 'DogsView', title: 'Dogs', asks: ['/api/dogs?list=here'] },
  { path: '/fit', name: 'fit-now', view: 'FitNowView', title: 'Fit now', asks: ['/api/bench'] },
  { path: '/dogs/new', name: 'new-dog', view: 'DogFormView', title: 'Add a dog' },
  { path: '/dogs/:id', name: 'dog', view: 'DogView', title: 'Dog', asks: ['/api/dogs/:id/neck', '/api/dogs/:id/record'] },
  { path: '/dogs/:id/edit', name: 'edit-dog', view: 'DogFormView', title: 'Change a dog' },
  { path: '/dogs/:id/tape', name: 'tape', view: 'TapeView', title: 'Tape', asks: ['/api/dogs/:id/bench'] },
  { path: '/dogs/:id/screen', name: 'screen', view: 'ScreenView', title: 'Screening', asks: ['/api/dogs/:id/page'] },
  { path: '/dogs/:id/bench', name: 'bench', view: 'ChooseView', title: 'Bench', asks: ['/api/dogs/:id/bench'] },
  // Which kinds there are is the bench’s to know: the registry of kinds is no part of the first view.
  { path: '/dogs/:id/bench/:kind([a-z-]+)', name: 'bench-kind', view: 'BenchKindView', title: 'Bench', asks: ['/api/dogs/:id/bench'] },
  { path: '/dogs/:id/check', name: 'check', view: 'CheckView', title: 'Fit check', asks: ['/api/dogs/:id/page'] },
  { path: '/dogs/:id/neck/:part(stack|rig|contacts|skin|wear)?', name: 'neck', view: 'NeckView', title: 'Neck', asks: ['/api/dogs/:id/neck'] },
  { path: '/dogs/:id/door', name: 'door', view: 'DoorView', title: 'Check before we go', asks: ['/api/dogs/:id/neck'] },
  { path: '/dogs/:id/programme', name: 'programme', view: 'ProgrammeView', title: 'Programme', asks: ['/api/dogs/:id/programmes'] },
  { path: '/dogs/:id/growth', name: 'growth', view: 'GrowthView', title: 'Growth', asks: ['/api/dogs/:id/growth'] },
  { path: '/dogs/:id/handover', name: 'handover', view: 'HandoverView', title: 'Handover', asks: ['/api/dogs/:id/handovers'] },
  { path: '/dogs/:id/levels', name: 'levels', view: 'LevelsView', title: 'Levels', asks: ['/api/dogs/:id/levels'] },
  { path: '/programme', name: 'calendar', view: 'CalendarView', title: 'Programme' },
  { path: '/programme/drill', name: 'drill', view: 'DrillView', title: 'Handling drill', asks: ['/api/drills'] },
  { path: '/programme/own', name: 'own-programmes', view: 'OwnProgrammesView', title: 'Own programmes', asks: ['/api/kennel-templates'] },
  { path: '/field', name: 'field', view: 'FieldView', title: 'Field log' },
  { path: '/many', name: 'many', view: 'ImportView', title: 'Size a group', asks: ['/api/collars'] },
  { path: '/locker', name: 'locker', view: 'LockerView', title: 'Locker' },
  { path: '/locker/:id', name: 'collar', view: 'CollarView', title: 'Measure your collar' },
  { path: '/class', name: 'class', view: 'KitUpView', title: 'Kit up a class', asks: ['/api/class'] },
  { path: '/upkeep', name: 'upkeep', view: 'UpkeepView', title: 'Upkeep', asks: ['/api/upkeep?list=due'] },
  { path: '/me', name: 'me', view: 'MyAccountView', title: 'My account', asks: ['/api/my-sessions'] },
  { path: '/house', name: 'house', view: 'HouseView', title: 'House rules' },
  { path: '/:rest(.*)*', name: 'nowhere', view: 'NowhereView', title: 'Not here', open: true },
];
