/** What runs in a worker thread: nothing but calculations. */
export { answerCalculation as default } from './answer-calculation.ts';
