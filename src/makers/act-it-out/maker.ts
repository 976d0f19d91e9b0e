import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { inRow, labelled, wordCard } from '../../core/page/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  numberOf,
  readNumbers,
  readOwnWords,
  refuseList,
} from '../../core/makers/index.ts';

/** A story acted by who is there: roles, a few scenes, and the line that everybody says. */
export const maker: Maker = {
  id: 'act-it-out',
  place: 340,
  skills: ['retell', 'feelings'],
  dials: [
    { kind: 'list', name: 'roles', value: 'goat, ferryman, cloud' },
    { kind: 'list', name: 'refrain', value: 'Over the planks, one by one!' },
    { kind: 'number', name: 'scenes', min: 3, max: 6, value: 4 },
    { kind: 'number', name: 'players', min: 1, max: 6, value: 2 },
    { kind: 'list', name: 'pages', value: '' },
  ],
  make(values, _settings, say) {
    const roles = readOwnWords(String(values.roles), { dial: 'roles', least: 2, most: 6 });
    if (!roles.ok) return roles;
    const scenes = numberOf(values, 'scenes');
    const players = numberOf(values, 'players');
    const pages = readNumbers(String(values.pages), { dial: 'pages', least: 1, most: 999, count: 6 });
    if (!pages.ok) return pages;
    if (pages.value.length > 0 && pages.value.length !== scenes)
      return refuseList('pages', 'problem.pages', { scenes, pages: pages.value.length });
    const isRising = pages.value.every((page, scene) => scene === 0 || page > pages.value[scene - 1]!);
    if (!isRising) return refuseList('pages', 'problem.order');
    const toys = Math.max(0, roles.value.length - players);
    const refrain = String(values.refrain).trim().slice(0, 80);
    const facts: MessageValues = {
      roles: listOf(roles.value.map(inOwn)),
      count: roles.value.length,
      first: inOwn(roles.value[0]!),
      last: inOwn(roles.value.at(-1)!),
      scenes,
      pages: listOf(pages.value),
      paged: pages.value.length > 0 ? 'yes' : 'no',
      players,
      toys,
      refrain: inOwn(refrain),
      has: refrain === '' ? 'no' : 'yes',
      middle: Math.ceil(scenes / 2),
    };
    const write = linesAbout(say, facts);
    const said = refrain === '' ? [] : write('say-1');
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: scenes, seconds: 60 },
      picture: inRow(
        roles.value.map((role) => labelled(role, { width: 34, height: 20 })),
        4,
      ),
      lines: {
        easier: [...write('do-2'), ...said, ...write('ask-1')],
        right: [...write('do-1'), ...said, ...write('do-3', 'ask-2', 'do-4', 'notice-1')],
        harder: [...write('do-1'), ...said, ...write('do-5', 'ask-3', 'ask-4')],
      },
      materials: [
        lasting('scarf', 1, [{ item: 'tea-towel', fit: 0.9, why: say('swap.tea-towel') }]),
        lasting('hat', 1, [{ item: 'colander', fit: 0.7, why: say('swap.colander') }]),
        ...(toys > 0 ? [lasting('soft-toy', toys, [{ item: 'doll', fit: 0.9, why: say('swap.doll') }])] : []),
      ],
      actions: ['movement'],
      printable: {
        title: say('printable'),
        cards: roles.value.map((role) => wordCard(role, { width: 85, height: 50, most: 16 })),
        sheets: [],
      },
      key: [say('key', facts)],
    });
  },
};
