/** A document as it was stored, by whichever edition of the program; absent: by the first. */
export interface Versioned {
  readonly contentVersion?: number | undefined;
}

/** One small change from the shape of a version to the shape of the next. Pure, total for what was stored, and kept for good. */
export type Upgrade = (stored: never) => object;

/**
 * A stored document in today's shape: the upgrades from its version on, one after the other. The n-th upgrade leads from
 * version n to n + 1, so today's version is their number. A document of a version that is not known yet stays as it is.
 */
export function upgradeFrom<Document>(
  { contentVersion = 0, ...stored }: Versioned,
  upgrades: readonly Upgrade[],
): Document {
  return upgrades
    .slice(contentVersion)
    .reduce<object>((document, upgrade) => upgrade(document as never), stored) as Document;
}

/** A document as it is stored: with the version of its shape. */
export function withVersion<Document extends object>(
  document: Document,
  upgrades: readonly Upgrade[],
): Document & Versioned {
  return { ...document, contentVersion: upgrades.length };
}
