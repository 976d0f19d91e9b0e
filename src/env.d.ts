/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; null on pages that are open to everybody. */
    person: import('./server/services/person.ts').Person | null;
    /** Allows a chart's own style sheet in this answer. */
    styleNonce: string;
    /** What the page of problems is to say. */
    problem?: { status: number; message: string };
  }
}

declare module 'highs/runtime?url' {
  const address: string;
  export default address;
}
