/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; null on pages that are open to everybody. */
    person: import('./server/services/person.ts').Person | null;
    /** What the page of problems is to say. */
    problem?: { status: number; message: string };
  }
}
