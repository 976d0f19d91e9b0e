/** Words of which one finds the others: what people call the same thing. Each in the form for one. */
const GROUPS = `
sofa couch settee
torch flashlight lamp light
saucepan pan pot
lorry truck
tin can
bin wastebasket rubbish
jumper sweater pullover
nappy diaper
peg clothespin
washing laundry
biscuit cookie
sweet candy
tap faucet
cooker stove hob oven
cot crib
dummy pacifier
dressing-gown bathrobe
rubber eraser
sellotape tape
felt-tip marker pen
crayon colour
money coin penny pence shop price
maths number sum count counting arithmetic
letter alphabet phonic sound
reading read book story
writing write pencil
rhyme poem verse
song music sing tune
craft make making build
cooking kitchen bake baking recipe food
clock time hour
week day calendar
shape triangle square circle
measure long short length
heavy weigh weight balance
pattern row sequence
sort sorting group
game play dice
picture drawing draw
family home child
setting programme option
password account
printer print paper
guide letter post
help how
colleague people person staff
caution danger safety allergy
mum mother mummy
dad father daddy
grandma granny nan grandmother
grandpa grandad grandfather
bathroom bath tub
rug carpet mat
cushion pillow
cloth towel flannel washcloth
jug pitcher
box carton package parcel
rope string cord
button pocket coat
night dark bedtime sleep
rain weather wind sun cloud
shadow light wall
wheel car cart wagon
bridge river
bus train
goodbye closing ending end
hello opening greeting welcome
term plan timetable schedule
share send sending
`
  .trim()
  .split('\n')
  .map((group) => group.split(' '));

/** Other words for what a word names, in the form for one. A word that stands in no group: none. */
export function otherWords(word: string): string[] {
  const found = GROUPS.filter((group) => group.includes(word)).flat();
  return [...new Set(found)].filter((other) => other !== word);
}
