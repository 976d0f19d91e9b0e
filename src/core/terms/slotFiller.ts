import { POINTS } from './termScore.ts';
import type { TermState } from './termState.ts';

/** So many sets are tried for one slot; more than enough where few activities come into question. */
const MOST_TRIED = 400;

/**
 * Fills what is left of a slot with the set of activities that together gain most, as the rest of the term stands: a
 * search over all sets that skips those that cannot gain more (branch and bound), broken off after `MOST_TRIED`.
 */
export class SlotFiller {
  /** What may be added, what gains most first, with what each would gain alone. */
  private readonly offered: number[] = [];
  private readonly gains: Float64Array;
  /** By skill: how often the set that is being tried touches it. */
  private readonly touching: Int32Array;
  private readonly trying: number[] = [];
  private best: number[] = [];
  private bestGain = 0;
  private tried = 0;

  constructor(
    private readonly term: TermState,
    private readonly most: number,
  ) {
    this.gains = new Float64Array(term.activityCount);
    this.touching = new Int32Array(term.skillCount);
  }

  /** `noise` is the number of points by which gains are blurred, so that the same slot is not always filled alike. */
  fill(slot: number, noise: number, chance: () => number): void {
    const { term } = this;
    this.offered.length = 0;
    for (let activity = 0; activity < term.activityCount; activity++) {
      if (!term.mayAdd(slot, activity)) continue;
      this.gains[activity] = term.gainOf(slot, activity) + noise * chance();
      this.insert(activity);
    }
    this.best = [];
    this.bestGain = -1;
    this.tried = 0;
    this.trySets(0, this.most - term.counts[slot]!, term.minutesLeft[slot]!, 0);
    for (const activity of this.best) term.add(slot, activity);
  }

  /** Keeps the offered in order; there are few of them. */
  private insert(activity: number): void {
    const { offered, gains } = this;
    let at = offered.length;
    offered.push(activity);
    for (; at > 0 && gains[offered[at - 1]!]! < gains[activity]!; at--) offered[at] = offered[at - 1]!;
    offered[at] = activity;
  }

  private trySets(from: number, places: number, minutes: number, gain: number): void {
    const { offered, gains, term, touching, trying } = this;
    if (gain > this.bestGain) {
      this.bestGain = gain;
      this.best = [...trying];
    }
    if (places === 0) return;
    for (let at = from; at < offered.length && this.tried < MOST_TRIED; at++) {
      let bound = gain;
      for (let next = at; next < at + places && next < offered.length; next++) bound += gains[offered[next]!]!;
      if (bound <= this.bestGain) return;
      const activity = offered[at]!;
      if (term.minutes[activity]! > minutes) continue;
      this.tried++;
      let gained = gains[activity]!;
      for (const skill of term.skillsOf[activity]!) {
        const lack = term.lackOf(skill);
        if (lack > 0 && touching[skill]! >= lack) gained -= POINTS.target;
        touching[skill]!++;
      }
      trying.push(activity);
      this.trySets(at + 1, places - 1, minutes - term.minutes[activity]!, gain + gained);
      trying.pop();
      for (const skill of term.skillsOf[activity]!) touching[skill]!--;
    }
  }
}
