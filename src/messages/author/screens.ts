/** How homes do a session, and what the numbers on screens count. */
export const counts = {
  'count.homes': '{count, plural, one {# home} other {# homes}}',
  'count.can-do': '{count, plural, one {# home} other {# homes}} can do it as written',
  'count.guides-to-write':
    '{count, plural, one {# guide is} other {# guides are}} still being written; their letters follow by themselves.',
  'count.left-out':
    '{count, plural, one {# home was} other {# homes were}} left out: something there changed while this was going out. Send it to them again once you’ve had a look.',
  'count.turns-in-term': 'skills come up {count, plural, one {# time} other {# times}} in all',
  'count.too-long': '{count, plural, one {# minute} other {# minutes}} too long',
  'count.homes-given':
    'You have {count} homes. To keep this page quick it looks at the first {given} of them, by name.',
  'count.homes-page': 'Homes {from} to {to} of {count}',
  'count.homes-shown':
    'Homes {from} to {to} of {count}; {ticked, plural, =0 {none is ticked} one {# is ticked} other {# are ticked}} in all',
  'count.more-homes':
    'and {count, plural, one {# more home} other {# more homes}}; the list to send from names them all',
  'count.swaps': '{count} with a swap',
  'count.likely': '{count} probably can',
  'count.kit': '{count, plural, one {# needs} other {# need}} a kit',
  'count.lacks': '{count, plural, one {# lacks} other {# lack}} something',
  'count.without': '{count, plural, one {# goes} other {# go}} without a part',
  'bags.in-packs':
    '{packs, plural, one {one pack} other {# packs}} of {pack}{left, plural, =0 {} other {, and # left over}}',
  'bags.about':
    '{bags, plural, one {One home needs things that it hasn’t got} other {# homes need things that they haven’t got}} and that you give out.',
  'script.heading': '{title} ({minutes, plural, one {# minute} other {# minutes}})',
  'script.fetch': 'To fetch: {things}.',
  'script.when':
    '{day}{at, select, none {} other {, {at}}}, for ages {from} to {to}. It takes about {minutes, plural, one {# minute} other {# minutes}}.',
  'script.aim': 'Aim: {aim}',
  'bags.shown': 'These are the first {shown} of {count}; the print tray has them all.',
  'bags.in-bags': 'for {bags, plural, one {one bag} other {# bags}}',
  'count.sheets': '{count, plural, one {# sheet} other {# sheets}}',
  'count.taken-from-starter': '{count, plural, one {One entry is} other {# entries are}} on your shelf now.',
  'count.without-letter':
    '{count, plural, one {# of them has no address for letters: you’ll hand over its link or a print.} other {# of them have no address for letters: you’ll hand over their links or a print.}}',
  'count.not-saved':
    'Not saved yet: {count, plural, =1 {one place needs another look. It is marked below.} other {# places need another look. They are marked below.}}',
  'count.free-in': 'free, here in {days, plural, one {# open day} other {# open days}}',
  'count.to-homes': 'to {count, plural, one {# home} other {# homes}}',
  'count.no-book': '{count, plural, one {# has} other {# have}} no book at hand',
  'count.to-look-at': '{count, plural, =1 {One thing} other {# things}} to look at first.',
  'count.until-looked':
    'Guides aren’t printed until you’ve looked at {count, plural, =1 {one thing} other {# things}}:',
  'count.do-not-fit':
    '{count, plural, one {# place does} other {# places do}} not fit. Nothing was added; put them right and send the file again.',
  'count.lines': '{count, plural, one {# line} other {# lines}}',
  'count.lines-fit': '{fitting, plural, one {# of {lines} fits.} other {# of {lines} fit.}}',
  'count.letters-failed': '{count, plural, one {# letter was} other {# letters were}} taken by no mail server.',
  'count.letters-unclear':
    '{count, plural, one {# letter may or may not have arrived} other {# letters may or may not have arrived}}: the mail server broke off. Ask those homes before you send again.',
  'count.deletes':
    '{homes, plural, one {# home} other {# homes}}, {sessions, plural, one {# session} other {# sessions}} and {guides, plural, one {# guide} other {# guides}} go for good.',
  'count.changed-meanwhile':
    '{count, plural, =1 {One session that you changed meanwhile stays as you left it.} other {# sessions that you changed meanwhile stay as you left them.}}',
  'count.correction':
    'was planned at about {planned, number, ::precision-integer} minutes. After {count, plural, one {# answer} other {# answers}}: about {likely, number, ::precision-integer}.',
  'differs.left-out': 'goes without “{title}”',
  'differs.withheld': 'nothing safe for {things}',
  'differs.swap': '{things} for {insteadOf}',
  'differs.swap-why': '{things} for {insteadOf} ({why})',
  'differs.kit': 'a kit with {qty} {thing}',
  'differs.missing': 'hasn’t got {qty} {thing}',
  'differs.assumed': 'probably has {qty} {thing}',
} as const;

/** Ages and leads. */
export const times = {
  'age.years': '{years, plural, one {# year} other {# years}}',
  'age.months': '{months, plural, one {# month} other {# months}}',
  'age.both': '{years, plural, one {# year} other {# years}} {months, plural, one {# month} other {# months}}',
  'lead.hours': '{hours, plural, one {# hour} other {# hours}} before',
  'lead.open-days': '{days, plural, one {# open day} other {# open days}} before',
  'lead.days': '{days, plural, =0 {on the day} =1 {the day before} other {# days before}}',
} as const;

/** What an author is told about a line of words on a line of a tune. */
export const songs = {
  'line.spoken': 'Spoken between the lines; it takes no notes.',
  'line.fits': '{counted}: it fits.',
  'line.as-many': '{counted}: as many as notes.',
  'line.one-short': '{counted}: one short. Hold “{held}” over two notes, or add a syllable.',
  'line.one-long': '{counted}: one long. Sing “{first}” and “{second}” on one note, or leave a syllable out.',
  'line.short': '{counted}: {gap} short. Add a word, or hold more than one note.',
  'line.long': '{counted}: {gap} too many. Leave a word out, or begin a new line.',
  'line.counted':
    '{syllables, plural, one {# syllable} other {# syllables}} on {notes, plural, one {# note} other {# notes}}',
  'line.clashes': '{said} The stress of {words} falls on a weak beat: move the word, or take another.',
  'sound-session.title': 'The sound of the week: {sound}',
  'sound-session.aim': 'They hear {sound} in words, and make it by themselves.',
} as const;

/** Words of a line that were looked at. */
export const looked = {
  'looked.no-words': 'There are no words in this line.',
  'looked.no-row': 'No row of words was found: write them with commas, such as “hat, cat and bat”.',
  'looked.fine': '{words}: fine.',
  'looked.at': 'Looked at {words}.',
  'decided.part': '“{part}”: {decided}',
  'decided.words': '{words} in “{part}”: {decided}',
  'decided.why': '{said} ({why})',
  'caution.left-out-under': '{asks} Left out where a child under {age} is in the room.',
} as const;
