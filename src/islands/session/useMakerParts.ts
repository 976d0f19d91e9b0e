import { useEffect, useState } from 'react';

type MakerParts = typeof import('./makerParts.ts');

/** The makers and their words, which are a third of the bench: fetched once a session holds a part of theirs; null until then. */
export function useMakerParts(isWanted: boolean): MakerParts | null {
  const [makerParts, setMakerParts] = useState<MakerParts | null>(null);
  useEffect(() => {
    if (!isWanted || makerParts) return;
    let isLeft = false;
    void import('./makerParts.ts').then(({ regenerate, describeMakerProblem, soundsSaid }) => {
      if (!isLeft) setMakerParts({ regenerate, describeMakerProblem, soundsSaid });
    });
    return () => {
      isLeft = true;
    };
  }, [isWanted, makerParts]);
  return makerParts;
}
