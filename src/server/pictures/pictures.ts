import pictures from './pictures.json' with { type: 'json' };

/** Pictures are drawn on a square of so many units. */
export const PICTURE_SIDE = 32;

/** A part of a picture: a path, its colour, and how what it crosses is filled. */
export type PicturePath = readonly [path: string, fill: string, rule?: 'evenodd'];

const PICTURES = pictures as unknown as Readonly<Record<string, readonly PicturePath[]>>;

/** The parts of a picture from the back to the front; undefined for a name that nobody drew. */
export function pictureNamed(name: string): readonly PicturePath[] | undefined {
  return Object.hasOwn(PICTURES, name) ? PICTURES[name] : undefined;
}

/** A picture as a file of its own; undefined for a name that nobody drew. */
export function pictureSvg(name: string): string | undefined {
  const paths = pictureNamed(name)?.map(
    ([path, fill, rule]) => `<path d="${path}" fill="${fill}"${rule ? ` fill-rule="${rule}"` : ''}/>`,
  );
  return (
    paths &&
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${PICTURE_SIDE} ${PICTURE_SIDE}">${paths.join('')}</svg>`
  );
}
