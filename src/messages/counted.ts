/** How something is said in the numbers a language knows apart; `#` stands for the number. `other` serves where a form is missing. */
export type Forms = Readonly<Partial<Record<Intl.LDMLPluralRule, string>>> & { readonly other: string };

/**
 * Says a whole number of something by the plural rules of a language.
 * @example counted(1, 'en-GB', { one: '# minute', other: '# minutes' }) // "1 minute"
 */
export function counted(count: number, language: string, forms: Forms): string {
  const form = forms[new Intl.PluralRules(language).select(count)] ?? forms.other;
  return form.replaceAll('#', String(count));
}
