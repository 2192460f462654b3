/** One question of a fit check, as data: what to ask, how to try it, and the answers to choose from. */
export type CheckQuestion<Id extends string = string> = {
  id: Id;
  ask: string;
  how: string;
  answers: readonly { value: string; label: string }[];
};
