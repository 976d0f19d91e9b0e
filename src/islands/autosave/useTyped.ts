import { useCallback, useEffect, useRef, useState } from 'react';

/** Fields whose words are taken up when they are left; a field to search in keeps nothing. */
const WRITTEN_IN = 'textarea, input:not([type]), input[type="text"], input[type="number"], input[type="month"]';

type Field = HTMLInputElement | HTMLTextAreaElement;

/**
 * Whether words are typed in a field that was not left yet: they belong to what is not saved. `holdsTyped` answers at any
 * moment, also while the page is being closed; `take` says that what stands in the field was taken up without leaving it.
 */
export function useTyped(): { isTyping: boolean; holdsTyped: () => boolean; take: () => void } {
  const [isTyping, setIsTyping] = useState(false);
  const entered = useRef<{ field: Field; value: string } | null>(null);
  const holdsTyped = useCallback(
    () =>
      entered.current !== null &&
      entered.current.field.isConnected &&
      entered.current.field.value !== entered.current.value,
    [],
  );
  useEffect(() => {
    const enter = ({ target }: Event) => {
      if (target instanceof HTMLElement && target.matches(WRITTEN_IN))
        entered.current = { field: target as Field, value: (target as Field).value };
    };
    const type = () => setIsTyping(holdsTyped());
    const leave = () => {
      entered.current = null;
      setIsTyping(false);
    };
    // A field that writes from its first moment had the focus before anybody listened.
    if (document.activeElement) enter({ target: document.activeElement } as unknown as Event);
    const listeners = [
      ['focusin', enter],
      ['input', type],
      ['focusout', leave],
    ] as const;
    for (const [name, listener] of listeners) document.addEventListener(name, listener);
    return () => {
      for (const [name, listener] of listeners) document.removeEventListener(name, listener);
    };
  }, [holdsTyped]);
  const take = useCallback(() => {
    if (entered.current) entered.current = { ...entered.current, value: entered.current.field.value };
    setIsTyping(false);
  }, []);
  return { isTyping, holdsTyped, take };
}
