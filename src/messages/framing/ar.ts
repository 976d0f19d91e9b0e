import type { FramingCatalogue } from './en.ts';

/** Framing sentences in Arabic. */
export const framing: FramingCatalogue = {
  own: '{text}',
  hello: 'مرحبًا',
  'hello-do': 'ضع هاتفك حيث يمكنك رؤيته، واجلس حيث يجلس طفلك.',
  'hello-say': '«عندي شيء لنا. هل نرى ما هو؟»',
  'hello-if': 'ليس لديه رغبة: اتركه إلى الغد.',
  goodbye: 'مع السلامة',
  'goodbye-ask': '«ماذا سنُري الآخرين لاحقًا؟»',
  'goodbye-ask.why': 'حكايته مرة أخرى هي ما يثبّته في الذاكرة.',
  'goodbye-do': 'رتّبا الأشياء معًا. وما زال ممتعًا يمكن أن يبقى في الخارج.',
  'fetch-book': 'اجلسا جنبًا إلى جنب مع «{title}»، بحيث تريان الصفحات معًا في اتجاهها الصحيح.',
  'read-it': 'اقرأ «{title}» أبطأ مما تظن. وتوقّف كلما أراد طفلك أن ينظر.',
  'after-page': 'بعد الصفحة {page}: {question}',
  'count-on-page': 'في الصفحة {page} عُدّا معًا بالإصبع: {number}.',
  'sing-to': 'غنِّيا على لحن «{tune}». {actions}',
};
