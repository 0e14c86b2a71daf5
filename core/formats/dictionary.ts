import { COURSE_FORMAT, COURSE_VERSION } from '../course';

/**
 * Words that courses have in common, in the spelling of their canonical JSON. A code is packed against
 * them, so that it need not tell them; to change them is to make another kind of code.
 */
const FAMILIES =
  'slab round hexagon octagon ell ring well grate boards setts court ice mud turf spring ' +
  'deck platform wall block ashlar float boulder ramp ridge hip steps spiral pillar column ' +
  'arch bridge stack beam plank log post trestle jetty rail rope-rail fence ladder crate ' +
  'cask mast panel half doorway window cracked broken battlement gable lean hipped tunnel ' +
  'tube half-pipe gutter tower straight bend banked chicane rise drop crest dip lip landing ' +
  'widening funnel split join crossing loop buffer cup thorns spikes arm roller saw crusher ' +
  'vent light-beam barrel whirl drift lift turntable seesaw bob crumble windmill start ' +
  'cairn lantern shell whelk pearl amber portal gate switch rock pebbles reeds grass pine ' +
  'wind-tree bush driftwood nets lamp hut kiln boat lugger buoy board pointer banner ' +
  'bunting creels anchor bench gull mound hoop';

export const DICTIONARY =
  FAMILIES.split(' ')
    .map((family) => `{"family":"${family}"}`)
    .join(',') +
  ',"look":{"colour":"#"},"look":{"material":"glow"},{"material":"ice"},{"material":"metal"},{"material":"moss"},' +
  '{"material":"rope"},{"material":"stone"},{"material":"timber"},{"family":"half","look":{"material":"slate"},' +
  '"params":{"direction":"across","ease":"even","period":3,"phase":0.5,"span":4}},"direction":"up","size":[2,0.5,2]},' +
  '{"family":"slab","size":[4,0.4,4]},"params":{"count":8,"height":2,"hole":2,"sweep":180,"swing":60,"text":"",' +
  '"thickness":0.3,"width":2,"way":"back"},{"family":"bend","params":{"radius":9,"side":"right","turn":30}},' +
  '{"family":"bend","params":{"radius":3,"rise":0.5,"side":"right","turn":15}},{"family":"bend","params":{"turn":22.5}},' +
  '{"family":"straight","params":{"length":8}},{"family":"straight","params":{"length":6,"rise":-0.5}},' +
  '{"family":"cairn","params":{"number":2}},{"family":"cairn","params":{"number":3}},{"family":"gate"},{"family":"lantern"},' +
  '{"family":"shell"},{"family":"start"}],"forms":[{"family":"' +
  `"format":"${COURSE_FORMAT}","kind":"gather","kind":"hold","kind":"laps","laps":3,"kind":"strokes","kind":"point",` +
  '"name":"","notes":"","own":{"1":{"group":"g1"},"2":{"group":"g2"},"3":{"name":""}},"runner":{"kind":"hopper",' +
  '"settings":{"topSpeed":6,"jumpHeight":2,"gravity":25}},"sky":{"hour":9,"sight":300,"sound":"harbour"},"sound":"wind"},' +
  '"sky":{"hour":16,"sound":"shore"},"space":"free","space":"side-on","targets":{"brisk":45,"steady":60,"swift":40},' +
  `"version":${COURSE_VERSION},"welcome":"`;
