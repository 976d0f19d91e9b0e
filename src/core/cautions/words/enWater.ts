import { ask, check, harmless, note } from './entryKinds.ts';
import type { WordEntry } from './wordList.ts';

/** Water to play in, to carry or to fall into. */
export const WATER: readonly WordEntry[] = [
  check(
    'deep-water',
    'A small child drowns in silence, in a few centimetres of water and within a minute or two.',
    `paddling pool; swimming pool; go* swimming; go* for a swim; swim* … pool/lake/river/sea/pond/bath/canal/stream/harbour; wade* … water/pool/pond/river/stream/sea/lake/waves; deep! water; open! water; pond! dipping; garden pond; fish pond; duck pond; to/by/beside/near/into/round/around the pond; riverbank; river bank; to/by/at/beside/near/along/down the river; into the river; in the river;
     canal; weir; reservoir; quarry; harbour; jetty; pier; lock! gate; to/at/on/along the beach; at the seaside; to the seaside; to/into/by the sea; in the sea; in the waves; sea! wall; tide; rock pool; rockpool; to/by/at/beside/near/into the lake; on the lake; to/by/at/beside/near/into/in the stream;
     paddle* in; rowing boat on; canoe; kayak; dinghy; inflatable boat; armband; hot! tub; jacuzzi; water butt; rain barrel; open! drain; well shaft; flood; thin ice; frozen pond; walk on the ice; ice on the pond; dive*; jump* in/into the water/pool/pond/river; head under water; under the water; hold … breath; full! bath; fill* the bath; run* a/the bath; bathtub; bath tub; bath! water; bathwater; in the bath; bath! time; bathtime; float on … back`,
  ),
  note(
    'water',
    'Any bowl or tub of water is watched, and emptied straight after.',
    `bowl/tub/bucket/tray/basin/sink/jug/pan/box/pot/bottle/jar of water; bowl/tub/bucket/basin/sink full of water; water; wash* up the; sink! or float; float or sink; bubble bath; hose; sprinkler; puddle`,
  ),
  ask(
    'deep-water',
    'A bath, a pool or a river of cloth is played; a real one is deep.',
    `bath; swim*; pool; pond; river; lake; beach; seaside; ocean; swimming costume`,
  ),
  harmless(
    'No water to fall into.',
    `swim* like; fish! swim; swim* … sofa/rug/room/mat/carpet/floor/blanket; watering! can; washing! up bowl; bath! mat; bath! towel; bath! toy; bird bath; well done; very well; as well; well then; oh well; well known; how well; sleep well; go* well; fits well; see! saw; sea! shell; sea! creature; under the sea!; sea! song; sea! lion; sea! horse; seahorse; football pool; stream of; boat of paper; paper boat; toy boat; water! colour; watermelon; water! melon; waterproof; drink of water; glass of water; cup of water; drink* … water; water! bottle; sip of water; wave* goodbye; boathouse; gravy boat; sea! green; pool of light; pool your; desert island`,
  ),
];
