import type { FramingCatalogue } from './en.ts';

/** Framing sentences in Spanish. */
export const framing: FramingCatalogue = {
  own: '{text}',
  hello: 'Hola',
  'hello-do': 'Deja el teléfono donde puedas verlo y siéntate donde está tu hijo o tu hija.',
  'hello-say': '«Tengo algo para nosotros. ¿Vemos qué es?»',
  'hello-if': 'No tiene ganas: déjalo para mañana.',
  goodbye: 'Adiós',
  'goodbye-ask': '«¿Qué les enseñamos luego a los demás?»',
  'goodbye-ask.why': 'Contarlo una vez más ayuda a recordarlo.',
  'goodbye-do': 'Recoged las cosas juntos. Lo que todavía interesa puede quedarse fuera.',
  'fetch-book': 'Sentaos uno al lado del otro con «{title}», para que los dos veáis las páginas del derecho.',
  'read-it': 'Lee «{title}», más despacio de lo que crees. Para siempre que quiera mirar.',
  'after-page': 'Después de la página {page}: {question}',
  'count-on-page': 'En la página {page}, contad juntos con el dedo: {number}.',
  'sing-to': 'Cantad con la melodía de «{tune}». {actions}',
};
