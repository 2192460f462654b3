import { UNDER_WAY, type KennelTemplate, type KennelTemplateFacts, type TemplatesPage } from '@banter/contract';
import { In } from 'typeorm';
import { KennelTemplateEntity, type KennelTemplateRow } from '../data/entities/kennel-template.ts';
import { ProgrammeEntity } from '../data/entities/programme.ts';
import type { KennelScope } from './kennel-scope.ts';
import type { VersionedKind } from '../records/record-base.ts';

export const kennelTemplateKind: VersionedKind<KennelTemplateRow, KennelTemplateFacts, KennelTemplate> = {
  entity: KennelTemplateEntity,
  toColumns: (facts) => facts,
  toAnswer: ({ kennelId: _kennel, ...row }) => row,
};

/** The kennel's own programmes, and how many dogs are in each. */
export async function templatesPage(scope: KennelScope): Promise<TemplatesPage> {
  const templates = await kennelTemplates(scope);
  const running: Record<string, number> = {};
  for (const { templateId } of await scope.all(ProgrammeEntity, { state: In([...UNDER_WAY]) }, { id: 'ASC' }))
    running[templateId] = (running[templateId] ?? 0) + 1;
  return { templates, running };
}

export async function kennelTemplates(scope: KennelScope): Promise<KennelTemplate[]> {
  return (await scope.all(KennelTemplateEntity, {}, { name: 'ASC', id: 'ASC' })).map(kennelTemplateKind.toAnswer);
}
