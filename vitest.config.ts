import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

/** A busy machine takes its time: what hangs is found, what is slow is not called wrong. */
const PATIENT_MS = 60_000;
const unit = (name: string, include: string[]) => ({ test: { name, include, environment: 'node' as const, testTimeout: PATIENT_MS, hookTimeout: PATIENT_MS } });

export default defineConfig({
  test: {
    projects: [
      unit('core', ['core/**/*.test.ts']),
      unit('contract', ['contract/**/*.test.ts']),
      // The drawings are components; they are rendered to text and measured.
      { plugins: [vue()], ...unit('web', ['web/**/*.test.ts']) },
      unit('docs', ['docs/**/*.test.ts']),
      { test: { name: 'bin', include: ['bin/**/*.test.ts'], environment: 'node', testTimeout: 120_000, hookTimeout: 60_000 } },
      // What must hold on a cluster: run by itself, on one that is started for it.
      { plugins: [vue()], test: { name: 'cluster', include: ['server/cluster/*.cluster.ts'], environment: 'node', testTimeout: 90_000, hookTimeout: 120_000 } },
      // The server's tests put the drawings on paper.
      {
        plugins: [vue()],
        test: { name: 'server', css: true, include: ['server/**/*.test.ts'], environment: 'node', testTimeout: 90_000, hookTimeout: 120_000 },
      },
    ],
  },
});
