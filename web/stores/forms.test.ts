import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';

const WEB = join(import.meta.dirname, '..');
const files = (dir: string): string[] => readdirSync(dir, { withFileTypes: true }).flatMap((one) => (one.isDirectory() ? files(join(dir, one.name)) : one.name.endsWith('.vue') ? [join(dir, one.name)] : [])); // prettier-ignore

/** A screen that takes something from hands: a form, or a field that is bound to something of its own. */
const TAKES = /<form\b|<(?:TextField|MeasureField|WeightField|RuleField|ChoiceRow|CountRow|StepCount|textarea|input|select)\b[^>]*\bv-model/s;
/** By which what is typed outlives the page. */
const KEEPS = /\b(?:useDraft|useTyped|useKennelForm)\(/;

/** Those that keep nothing on the device, and why that is right. */
const BECAUSE: Record<string, string> = {
  'views/SignInView.vue': 'a password is kept nowhere, and an e-mail is for the browser to remember',
  'views/MyAccountView.vue': 'a password is kept nowhere',
  'views/OwnerView.vue': 'each tick is sent as it is made, and waits for the connection by itself',
  'views/ChooseView.vue': 'a filter of what is shown',
  'views/DogsView.vue': 'a filter of what is shown',
  'views/KitUpView.vue': 'a filter of what is shown',
  'views/field/BeginSession.vue': 'a filter of what is shown; what is chosen is remembered',
  'views/calendar/KennelCalendar.vue': 'a filter of what is shown',
  'views/calendar/WhoseHands.vue': 'a filter of what is shown',
  'views/house/HouseDeeds.vue': 'a filter of what is shown',
  'views/house/HouseFiles.vue': 'a file is chosen anew; a page cannot keep one',
  'views/DrillView.vue': 'a choice of what to practise',
  'views/neck/StackList.vue': 'each move is kept as it is made, by the dressing’s own draft',
  'views/neck/StackPart.vue': 'how the dog is watched is said with the tap that puts it on',
  'views/neck/WearPart.vue': 'told with the tap itself',
  'views/field/RemotePad.vue': 'a level is pressed, and the press is written down at once',
  'views/own-programmes/StageEditor.vue': 'its editor’s draft',
  'views/programme/StageCard.vue': 'shows only',
  'shell/KeysDialog.vue': 'a switch that is kept as it is set',
  'parts/StockStart.vue': 'nothing is typed in it: it has a button alone',
};
/** Parts that bind what whoever uses them keeps. */
const isPart = (name: string) => /^(?:parts|neck)\//.test(name);

describe('what is typed', () => {
  const all = files(WEB).map((path) => ({ name: relative(WEB, path), text: readFileSync(path, 'utf8') }));
  it('survives a reload on every screen that takes something from hands, by the one mechanism for it', () => {
    const without = all.filter(({ name, text }) => TAKES.test(text) && !KEEPS.test(text) && !isPart(name)).map(({ name }) => name);
    expect(without.filter((name) => !Object.hasOwn(BECAUSE, name))).toEqual([]);
    // A reason that is no longer needed goes.
    const names = new Set(all.map(({ name }) => name));
    for (const name of Object.keys(BECAUSE)) expect([name, names.has(name)]).toEqual([name, true]);
  });
  it('is asked for nowhere past that mechanism', () => {
    for (const { name, text } of all) expect([name, /localStorage|sessionStorage/.test(text)]).toEqual([name, false]);
  });
  it('is looked for in every part that has a form of its own', () => {
    const forms = all.filter(({ name, text }) => isPart(name) && /<form\b/.test(text) && !KEEPS.test(text) && !Object.hasOwn(BECAUSE, name));
    expect(forms.map(({ name }) => name)).toEqual([]);
  });
});
