/** Chooses against a large locker away from the page. What it is sent comes from the page itself, already parsed. */
import { choose, type ChooseRequest } from './choose.ts';

onmessage = ({ data }: MessageEvent<{ id: number; request: ChooseRequest }>) => postMessage({ id: data.id, chosen: choose(data.request) });
