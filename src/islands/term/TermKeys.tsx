import { KeysHelp } from '../keys/KeysHelp.tsx';

const KEYS = [
  ['On “move”', 'space takes a session up, arrow keys carry it to another week, space puts it down, Escape lets go'],
  ['On an activity', 'P pins it or lets it go, Delete takes it out'],
  ['Anywhere', 'Ctrl Z undoes, Ctrl Shift Z does it again, ? shows this'],
] as const;

/** The keys of the term room. */
export function TermKeys(props: { isOpen: boolean; onClose: () => void }) {
  return <KeysHelp keys={KEYS} {...props} />;
}
