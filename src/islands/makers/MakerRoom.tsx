import { authorSpeech } from '../../messages/speeches.ts';
import { type LevelName, LEVELS, type MakerSettings, type MakerValues } from '../../core/session/index.ts';
import { type MakerOutput, runMaker, soundsSaid } from '../../core/makers/index.ts';
import { useState } from 'react';
import { type CautionPolicy, cautionsOverAges } from '../../core/cautions/index.ts';
import type { Drawing } from '../../core/page/index.ts';
import { findMaker } from '../../makers/index.ts';
import { HeardSounds } from '../sounds/HeardSounds.tsx';
import { ADULT_DECIDES, describeCaution } from '../../messages/cautions.ts';
import { describeMakerProblem, makerAbout, makerTitle } from '../../messages/makers.ts';
import { DrawingView } from '../drawing/DrawingView.tsx';
import { MakerDials } from './MakerDials.tsx';
import { useMaker } from './useMaker.ts';
import { ToSession } from './ToSession.tsx';

export interface MakerRoomProps {
  readonly id: string;
  readonly settings: MakerSettings;
  /** Names of things, one and many, and what calls for care. */
  readonly things: Readonly<
    Record<string, { readonly one: string; readonly many: string; readonly traits: readonly string[] }>
  >;
  readonly sessions: readonly { readonly id: string; readonly title: string }[];
  /** What the programme decided about cautions. */
  readonly policy: CautionPolicy;
  readonly mayWrite: boolean;
  /** The sounds that the programme has recorded, by their names. */
  readonly recorded: readonly string[];
  /** What a maker that takes long makes as it starts. */
  readonly first?: MakerOutput | undefined;
  /** The values its dials start from. */
  readonly start: MakerValues;
}

const LEVEL_WORDS: Readonly<Record<LevelName, string>> = { easier: 'easier', right: 'just right', harder: 'harder' };

/** One maker: its dials, its picture, the lines it writes, what it needs and what is printed. All follow in the same frame. */
export function MakerRoom({
  id,
  settings,
  things,
  sessions,
  policy,
  mayWrite,
  recorded,
  first,
  start,
}: MakerRoomProps) {
  const maker = findMaker(id)!;
  const { values, made, refusal, isWorking, turn } = useMaker(maker, settings, { start, first });
  if (!made)
    return (
      <p className="alert alert-warning m-6">
        {makerTitle(id)} does not go with this programme’s settings as it starts: {firstProblem(id, values, settings)}
      </p>
    );
  return (
    <div className="grid grid-cols-[minmax(14rem,18rem)_minmax(0,1fr)_minmax(14rem,19rem)] min-h-[calc(100vh_-_8rem)] [&>*]:pt-4 [&>*]:pb-12 [&>*]:px-5 max-[1000px]:grid-cols-[1fr]">
      <section className="maker-left" aria-label="Dials">
        <p className="text-soft">{makerAbout(id)}</p>
        <MakerDials maker={maker} values={values} onTurn={turn} />
        <Answered {...{ isWorking, refusal }} facts={made.facts} />
      </section>
      <section className="border-x border-x-line" aria-label="Picture and lines">
        <DrawingView
          drawing={made.picture}
          label={made.pictureWords}
          className="maker-picture w-full max-h-76 p-2.5 border border-line overflow-visible"
        />
        <HeardSounds sounds={soundsSaid({ maker: id, values, settings })} recorded={recorded} />
        <LinesByLevel lines={made.lines} />
      </section>
      <aside className="[&_h2]:mt-[0.8rem] [&_h2]:mb-[0.3rem] [&_h2]:mx-0" aria-label="Materials and paper">
        <Materials {...{ made, things, policy }} />
        <OnPaper cards={made.printable.cards} playOnly={settings.playOnly} print={printAddress(id, values)} />
        {mayWrite && <ToSession {...{ maker, values, settings, sessions }} />}
      </aside>
    </div>
  );
}

/** What turning a dial led to: that it is being worked out, why it was refused, or the facts. */
function Answered({ isWorking, refusal, facts }: { isWorking: boolean; refusal: string; facts: readonly string[] }) {
  return (
    <>
      {isWorking && (
        <p role="status" className="text-soft">
          Playing it ten thousand times …
        </p>
      )}
      <p role="alert" className={refusal ? 'alert alert-warning' : ''}>
        {refusal}
      </p>
      <ul
        className="maker-facts [&_li]:border-t [&_li]:border-t-line [&_li]:py-[0.3rem] [&_li]:px-0"
        aria-live="polite"
      >
        {facts.map((fact) => (
          <li key={fact}>{fact}</li>
        ))}
      </ul>
    </>
  );
}

/** The lines of one level at a time. */
function LinesByLevel({ lines }: Pick<MakerOutput, 'lines'>) {
  const [level, setLevel] = useState<LevelName>('right');
  return (
    <>
      <div role="group" aria-label="Level" className="tabs tabs-border mt-3.5 mb-1">
        {LEVELS.map((name) => (
          <button
            key={name}
            type="button"
            className={`tab ${level === name ? 'tab-active [&&]:text-ink' : '[&&]:text-soft'}`}
            aria-pressed={level === name}
            onClick={() => setLevel(name)}
          >
            {LEVEL_WORDS[name]}
          </button>
        ))}
      </div>
      <ol className="[&>li]:grid [&>li]:grid-cols-[3.6rem_1fr] [&>li]:gap-x-3.5 [&>li]:items-baseline [&>li]:py-1">
        {lines[level].map(({ kind, text, answer, role }, index) => (
          <li key={index}>
            <span className="font-heading font-semibold text-xs text-teal">{kind}</span>
            <span>
              {role && <span className="text-soft">{role === 'older' ? 'the older child' : 'the little one'}: </span>}
              {text}
              {answer && <span className="text-soft"> Answer: {answer}</span>}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** What is printed, or that this programme prints nothing here, and its first card. */
function OnPaper({ cards, playOnly, print }: { cards: readonly Drawing[]; playOnly: boolean; print: string }) {
  return (
    <>
      <h2>On paper</h2>
      {playOnly && cards.length === 0 ? (
        <p className="text-soft">This programme plays without sheets; nothing is printed for this one.</p>
      ) : (
        <p>
          <a className="btn btn-outline btn-sm" href={print}>
            Print it, with the answers
          </a>
        </p>
      )}
      {cards[0] && (
        <DrawingView
          drawing={cards[0]}
          label="The first card"
          className="w-full max-h-36 border border-dashed border-line mt-2 overflow-visible"
        />
      )}
    </>
  );
}

function Materials({ made, things, policy }: { made: MakerOutput } & Pick<MakerRoomProps, 'things' | 'policy'>) {
  const cautions = cautionsOverAges(
    {
      items: made.materials.map(({ item }) => ({ item, traits: things[item]?.traits ?? [] })),
      actions: made.actions,
    },
    policy,
  );
  const nameOf = (item: string, qty: number) => (qty === 1 ? things[item]?.one : things[item]?.many) ?? item;
  return (
    <>
      <h2>Things</h2>
      {made.materials.length === 0 && <p className="text-soft">Nothing has to be fetched.</p>}
      <ul className="[&>li]:border-t [&>li]:border-t-line [&>li]:py-[0.3rem] [&>li]:px-0">
        {made.materials.map(({ item, qty, swaps }) => (
          <li key={item}>
            <strong>
              {qty} {nameOf(item, qty)}
            </strong>
            {swaps.map((swap) => (
              <span key={swap.item} className="block text-sm text-soft">
                or {nameOf(swap.item, 2)}: {swap.why}
              </span>
            ))}
          </li>
        ))}
      </ul>
      {cautions.length > 0 && (
        <>
          <h2>Take care</h2>
          <ul className="grid gap-[0.3rem] my-[0.3rem] mx-0 text-sm">
            {cautions.map((caution) => {
              const { things: named, text } = describeCaution(caution, (item) => things[item]?.many);
              return (
                <li key={caution.rule}>
                  {named && <strong>{named}: </strong>}
                  {text}
                </li>
              );
            })}
          </ul>
          <p className="text-sm text-soft">{ADULT_DECIDES}</p>
        </>
      )}
    </>
  );
}

function printAddress(id: string, values: MakerValues): string {
  return `/makers/${id}/print.pdf?values=${encodeURIComponent(JSON.stringify(values))}`;
}

function firstProblem(id: string, values: MakerValues, settings: MakerSettings): string {
  const answer = runMaker(findMaker(id)!, values, { settings, speech: authorSpeech });
  return answer.ok ? '' : describeMakerProblem(answer.problem);
}
