/** An allergen as one says it: a name of the closed list without its hyphen, anything else as a home wrote it. */
export function allergenWord(allergen: string): string {
  return allergen.replaceAll('-', ' ');
}
