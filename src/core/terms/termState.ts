import { leastIn, placesOf, POINTS, suits, type TermPlan, type TermPlanInput } from './termScore.ts';

/** An empty place in a slot that must be filled weighs more than anything a plan can gain by it. */
const POINTS_FOR_LEAST = 200;
/** Whole millionths of a minute, so that a million additions and subtractions leave no rounding behind. */
const toMillionths = (minutes: number) => Math.round(minutes * 1e6);
const NONE: readonly number[] = [];

/** A filled term with its sums, changed in place, by index; plain numbers, for a search changes it a million times. */
export class TermState {
  score = 0;
  readonly slotCount: number;
  readonly skillCount: number;
  readonly activityCount: number;
  /** How many activities stand in each slot. */
  readonly counts: number[];
  /** Millionths of a minute that are left in each slot. */
  readonly minutesLeft: Float64Array;
  /** Millionths of a minute that each activity takes. */
  readonly minutes: Float64Array;
  /** By activity: skills that have a target. */
  readonly skillsOf: readonly (readonly number[])[];
  readonly anyActivity: readonly number[];
  /** By slot: activities that fit its theme and may stand in it. */
  readonly fittingTheme: readonly (readonly number[])[];
  private readonly standing: number[][];
  private readonly mayStand: Uint8Array;
  /** Points for suiting the slot's theme. */
  private readonly themeFits: Float64Array;
  private readonly isUsed: Uint8Array;
  private readonly isPinned: Uint8Array;
  private readonly uses: Int32Array;
  private readonly touched: Int32Array;
  private readonly targets: Int32Array;
  private readonly activitiesOf: number[][];
  private readonly after: number[][];
  private readonly neededBy: number[][];
  /** The least activities asked of each slot. */
  private readonly least: readonly number[];
  private lacking = 0;
  private remembered: number[][] | null = null;
  /** What was done since `begin`: slot, activity, and 1 for put in or 0 for taken out. */
  private readonly done: number[] = [];

  /** `isOpen` leaves out places (slot and activity by index) that nothing may be put into, save what is pinned. */
  constructor(
    private readonly input: TermPlanInput,
    isOpen: (slot: number, activity: number) => boolean = () => true,
  ) {
    const { slots, activities, targets, repeat, pinned = {} } = input;
    const skills = Object.keys(targets).filter((skill) => targets[skill]! > 0);
    const skillIndex = new Map(skills.map((skill, index) => [skill, index]));
    const indexOf = new Map(activities.map(({ id }, index) => [id, index]));
    const size = slots.length * activities.length;
    this.slotCount = slots.length;
    this.skillCount = skills.length;
    this.activityCount = activities.length;
    this.counts = slots.map(() => 0);
    this.standing = slots.map(() => []);
    this.minutesLeft = Float64Array.from(slots, ({ minutes }) => toMillionths(minutes));
    this.minutes = Float64Array.from(activities, ({ minutes }) => toMillionths(minutes));
    this.mayStand = new Uint8Array(size);
    this.themeFits = new Float64Array(size);
    const mayStand = placesOf(input);
    this.isUsed = new Uint8Array(size);
    this.isPinned = new Uint8Array(size);
    slots.forEach((slot, at) =>
      activities.forEach((activity, index) => {
        const cell = at * activities.length + index;
        const isAllowed = isOpen(at, index) || (pinned[slot.id] ?? []).includes(activity.id);
        this.mayStand[cell] = repeat > 0 && isAllowed && mayStand(slot, activity) ? 1 : 0;
        this.themeFits[cell] = suits(input, slot, activity);
      }),
    );
    this.uses = new Int32Array(activities.length);
    this.touched = new Int32Array(skills.length);
    this.targets = Int32Array.from(skills, (skill) => targets[skill]!);
    this.skillsOf = activities.map((activity) => [
      ...new Set(activity.skills.flatMap((skill) => skillIndex.get(skill) ?? [])),
    ]);
    this.activitiesOf = skills.map((_, skill) =>
      activities.flatMap((__, index) => (this.skillsOf[index]!.includes(skill) ? [index] : [])),
    );
    this.after = activities.map(({ after = [] }) => after.map((id) => indexOf.get(id)!));
    this.neededBy = activities.map((_, index) =>
      activities.flatMap((__, other) => (this.after[other]!.includes(index) ? [other] : [])),
    );
    this.anyActivity = activities.map((_, index) => index);
    this.fittingTheme = slots.map((_, at) =>
      this.anyActivity.filter((index) => {
        const cell = at * activities.length + index;
        return this.mayStand[cell] === 1 && this.themeFits[cell]! > 0;
      }),
    );
    this.least = slots.map((slot) => leastIn(slot, input));
    this.countLacking(this.least.reduce((sum, least) => sum + least, 0));
  }

  /** Whether no activity may stand in any slot. */
  standsNowhere(): boolean {
    return !this.mayStand.includes(1);
  }

  /** Puts what is pinned where it is pinned; false when that breaks a rule. Earlier slots first, so that `after` holds. */
  placePinned(): boolean {
    const { slots, activities, pinned = {} } = this.input;
    return slots.every(({ id }, slot) =>
      (pinned[id] ?? []).every((name) => {
        const activity = activities.findIndex((candidate) => candidate.id === name);
        if (activity < 0 || !this.add(slot, activity)) return false;
        this.isPinned[this.cell(slot, activity)] = 1;
        return true;
      }),
    );
  }

  isFull(): boolean {
    return this.lacking === 0;
  }

  /** The activity at a place of a slot. */
  at(slot: number, place: number): number {
    return this.standing[slot]![place]!;
  }

  /** Activities for a skill while its target is not met; none when it is. */
  lackingActivities(skill: number): readonly number[] {
    return this.touched[skill]! < this.targets[skill]! ? this.activitiesOf[skill]! : NONE;
  }

  /** From here on, changes are noted so that they can be undone together. */
  begin(): void {
    this.done.length = 0;
  }

  /** Takes back everything since `begin`. */
  undo(): void {
    for (let at = this.done.length - 3; at >= 0; at -= 3) {
      const slot = this.done[at]!;
      const activity = this.done[at + 1]!;
      if (this.done[at + 2] === 1) this.take(slot, activity);
      else this.put(slot, activity);
    }
    this.done.length = 0;
  }

  /** Adds if every rule allows it. */
  add(slot: number, activity: number): boolean {
    if (!this.mayAdd(slot, activity)) return false;
    this.put(slot, activity);
    this.done.push(slot, activity, 1);
    return true;
  }

  mayAdd(slot: number, activity: number): boolean {
    const cell = this.cell(slot, activity);
    const { perSlot, repeat, rest } = this.input;
    if (this.mayStand[cell] === 0 || this.isUsed[cell] === 1) return false;
    if (this.counts[slot]! >= perSlot[1] || this.minutes[activity]! > this.minutesLeft[slot]!) return false;
    if (this.uses[activity]! >= repeat) return false;
    if (this.uses[activity]! > 0) {
      const last = Math.min(this.slotCount - 1, slot + rest);
      for (let near = Math.max(0, slot - rest); near <= last; near++)
        if (this.isUsed[this.cell(near, activity)] === 1) return false;
    }
    for (const earlier of this.after[activity]!) if (this.firstUse(earlier) >= slot) return false;
    return true;
  }

  /** What the score would gain by an activity in a slot, as the term stands. */
  gainOf(slot: number, activity: number): number {
    let gain = this.uses[activity] === 0 ? POINTS.distinct : 0;
    gain += this.themeFits[this.cell(slot, activity)]!;
    for (const skill of this.skillsOf[activity]!) if (this.lackOf(skill) > 0) gain += POINTS.target;
    return gain;
  }

  /** How often a skill is still to be touched. */
  lackOf(skill: number): number {
    return this.targets[skill]! - this.touched[skill]!;
  }

  /** Takes out, with all that then rests on nothing earlier. False, part of it done, where something of that is pinned. */
  remove(slot: number, activity: number): boolean {
    if (this.isPinned[this.cell(slot, activity)] === 1) return false;
    this.take(slot, activity);
    this.done.push(slot, activity, 0);
    const dependants = this.neededBy[activity]!;
    if (dependants.length === 0) return true;
    const next = Math.min(this.firstUse(activity), this.slotCount - 1);
    for (const other of dependants)
      for (let later = slot + 1; later <= next; later++)
        if (this.isUsed[this.cell(later, other)] === 1 && !this.remove(later, other)) return false;
    return true;
  }

  /** Takes out all that is not pinned. False, part of it done, where something pinned rests on it. */
  empty(slot: number): boolean {
    for (;;) {
      const loose = this.standing[slot]!.find((activity) => this.isPinned[this.cell(slot, activity)] === 0);
      if (loose === undefined) return true;
      if (!this.remove(slot, loose)) return false;
    }
  }

  /**
   * Puts an activity in and takes out what stands in its way, chosen by `chance`; what it builds on is put into earlier
   * slots, `depth` steps back at most. False, part of it done, where that does not go.
   */
  force(slot: number, activity: number, chance: () => number, depth: number): boolean {
    const cell = this.cell(slot, activity);
    const { perSlot, repeat, rest } = this.input;
    if (this.mayStand[cell] === 0 || this.isUsed[cell] === 1 || perSlot[1] < 1) return false;
    for (const earlier of this.after[activity]!) {
      if (this.firstUse(earlier) < slot) continue;
      if (depth === 0 || slot === 0) return false;
      if (!this.force(Math.floor(chance() * slot), earlier, chance, depth - 1)) return false;
    }
    const last = Math.min(this.slotCount - 1, slot + rest);
    for (let near = Math.max(0, slot - rest); this.uses[activity]! > 0 && near <= last; near++)
      if (this.isUsed[this.cell(near, activity)] === 1 && !this.remove(near, activity)) return false;
    while (this.uses[activity]! >= repeat) {
      let use = this.firstUse(activity);
      for (let skip = Math.floor(chance() * this.uses[activity]!); skip > 0; skip--)
        use = this.firstUse(activity, use + 1);
      if (!this.remove(use, activity)) return false;
    }
    while (this.counts[slot]! >= perSlot[1] || this.minutes[activity]! > this.minutesLeft[slot]!)
      if (this.counts[slot] === 0 || !this.remove(slot, this.at(slot, Math.floor(chance() * this.counts[slot]!))))
        return false;
    return this.add(slot, activity);
  }

  /** The slots that were changed since `begin`, each once. */
  changedSlots(): number[] {
    const slots: number[] = [];
    for (let at = 0; at < this.done.length; at += 3) if (!slots.includes(this.done[at]!)) slots.push(this.done[at]!);
    return slots;
  }

  /** Keeps the term as it stands as the best so far. */
  remember(): void {
    this.remembered = this.standing.map((activities) => [...activities]);
  }

  readRemembered(): TermPlan['slots'] | null {
    return this.remembered && this.read(this.remembered);
  }

  /** The plan, activities in the order they were given. */
  read(standing: readonly (readonly number[])[] = this.standing): TermPlan['slots'] {
    return this.input.slots.map(({ id }, slot) => ({
      id,
      activities: [...standing[slot]!]
        .sort((left, right) => left - right)
        .map((index) => this.input.activities[index]!.id),
    }));
  }

  private put(slot: number, activity: number): void {
    const cell = this.cell(slot, activity);
    this.standing[slot]!.push(activity);
    if (this.counts[slot]!++ < this.least[slot]!) this.countLacking(-1);
    this.minutesLeft[slot]! -= this.minutes[activity]!;
    this.isUsed[cell] = 1;
    if (this.uses[activity]!++ === 0) this.score += POINTS.distinct;
    this.score += this.themeFits[cell]!;
    for (const skill of this.skillsOf[activity]!)
      if (this.touched[skill]!++ < this.targets[skill]!) this.score += POINTS.target;
  }

  private take(slot: number, activity: number): void {
    const cell = this.cell(slot, activity);
    const here = this.standing[slot]!;
    here[here.indexOf(activity)] = here.at(-1)!;
    here.pop();
    if (--this.counts[slot]! < this.least[slot]!) this.countLacking(1);
    this.minutesLeft[slot]! += this.minutes[activity]!;
    this.isUsed[cell] = 0;
    if (--this.uses[activity]! === 0) this.score -= POINTS.distinct;
    this.score -= this.themeFits[cell]!;
    for (const skill of this.skillsOf[activity]!)
      if (--this.touched[skill]! < this.targets[skill]!) this.score -= POINTS.target;
  }

  private countLacking(change: number): void {
    this.lacking += change;
    this.score -= POINTS_FOR_LEAST * change;
  }

  /** The first slot, from one on, that an activity is used in; the number of slots when there is none. */
  private firstUse(activity: number, from = 0): number {
    for (let slot = from; slot < this.slotCount; slot++) if (this.isUsed[this.cell(slot, activity)] === 1) return slot;
    return this.slotCount;
  }

  private cell(slot: number, activity: number): number {
    return slot * this.minutes.length + activity;
  }
}
