/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; null on pages that are open to everybody. */
    person: import('./server/services/person.ts').Person | null;
    /** Allows a chart's own style sheet in this answer. */
    styleNonce: string;
    /** Where rendered guides are kept between visits; absent while developing. */
    guides?: import('./server/front/guideStore.ts').GuideStore;
    /** The guides opened last; absent while developing. */
    recalled?: import('./server/services/recalledGuides.ts').RecalledGuides;
    /** Windows of sessions that are told what others do; absent while developing. */
    sessionNews?: import('./server/services/sessionNews.ts').SessionNews;
    /** Long calculations beside the request; absent while developing. */
    beside?: import('./server/services/beside.ts').Beside;
    /** What the page of problems is to say. */
    problem?: {
      status: number;
      message: string;
      /** The language of a home's guide; absent where the author's pages are meant. */
      language?: import('./core/languages.ts').GuideLanguage;
    };
  }
}

declare module 'highs/runtime?url' {
  const address: string;
  export default address;
}
