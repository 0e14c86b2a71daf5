import { COURSE_FORMAT, COURSE_VERSION } from '../course';

// What codes have in common and need not tell. To change any of it is to make another kind of code: new
// families and words go to the ends.

/** Families by the places that codes name them by. */
export const FAMILIES: readonly string[] = (
  'slab round hexagon octagon ell ring well grate boards setts court ice mud turf spring ' +
  'deck platform wall block ashlar float boulder ramp ridge hip steps spiral pillar column ' +
  'arch bridge stack beam plank log post trestle jetty rail rope-rail fence ladder crate ' +
  'cask mast panel half doorway window cracked broken battlement gable lean hipped tunnel ' +
  'tube half-pipe gutter tower straight bend banked chicane rise drop crest dip lip landing ' +
  'widening funnel split join crossing loop buffer cup thorns spikes arm roller saw crusher ' +
  'vent light-beam barrel whirl drift lift turntable seesaw bob crumble windmill start ' +
  'cairn lantern shell whelk pearl amber portal gate switch rock pebbles reeds grass pine ' +
  'wind-tree bush driftwood nets lamp hut kiln boat lugger buoy board pointer banner ' +
  'bunting creels anchor bench gull mound hoop touch wind boost drag slick tramp weight grow ' +
  'tally sting pool hush lookout sound undertow eddy'
).split(' ');

/**
 * Words in the spelling of the documents' canonical JSON, what is usual last: the nearer to the end, the
 * shorter it is told.
 */
export const DICTIONARY =
  '"allowances":{"families":{"roles":{"hazard":{"by":"cm","value":-8},"pickup":{"by":"percent","value":15}' +
  '"camera":{"ahead":3,"distance":18,"kind":"above","kind":"behind","kind":"fixed","kind":"side","pitch":30},' +
  '"countdown":3,"gravity":16,"limit":90,"order":"free","tide":-3,"tempo":{"beats":120,"offset":0,"plays":true},' +
  '"legs":[{"name":"First","par":2},{"name":"","par":3}],' +
  '"cue":{"count":4,"kind":"beat"},"cue":{"kind":"all-gathered","kind":"broken","kind":"checkpoint","kind":"gathered",' +
  '"kind":"left","kind":"start"},"cue":{"kind":"stood","seconds":1},"kind":"timer","delay":1,"chance":0.5,"rest":2,' +
  '{"by":[0,10,0],"kind":"push"},{"kind":"back","kind":"break","kind":"carry","kind":"gravity","kind":"hide","kind":"points",' +
  '"kind":"show","kind":"size","kind":"sound","sound":"bell"},"sound":"knock","kind":"speed","kind":"still","kind":"stop","kind":"win",' +
  '"effects":[{"kind":"open","pieces":["p1"],"seconds":4}],"id":"l2"},{"kind":"tide","seconds":20,"value":4},' +
  '"links":[{"cue":{"kind":"touched","pieces":["p2"]},"effects":[{"kind":"message","text":""},{"kind":"sound","sound":"horn"}],"id":"l1","once":true}],' +
  '{"absent":true},{"attach":"p1"},{"breaks":{"speed":5,"touches":1}},{"hurt":{"does":"push","does":"slow","force":9}},"role":"hazard","role":"scenery",' +
  '"shape":{"parts":[{"kind":"outline","points":[[{"kind":"capsule","from":[{"kind":"box","at":[{"kind":"ball","radius":' +
  '{"motion":[{"axis":"y","kind":"circle","kind":"spin","kind":"swing","angle":40,"period":6,"pivot":[0,4,0],"reverse":true}],' +
  '"motion":[{"height":0.5,"kind":"bob","kind":"hop"}],"motion":[{"kind":"arrive","kind":"chase","range":8,"home":true,"kind":"drift","velocity":[' +
  '"motion":[{"kind":"poses","poses":[{"at":[0,2,0],"time":1.5,"wait":0.5}]}],"after":"back","after":"round","times":[1],"waits":[0,1],' +
  '{"motion":[{"ease":"smooth","kind":"path","points":[[0,0,4]],"speed":2}]},' +
  '{"thrower":{"bounce":0.35,"does":"push","interval":2,"life":5,"most":6,"rise":15,"size":0.8,"speed":7,"spread":5,"what":"cask"}},"what":"boulder",' +
  '{"outline":{"corners":[{"at":[-2,0]},{"at":[2,2],"round":1}],"height":0.5}},' +
  '{"line":{"panels":[{"kind":"door","panel":1,"run":0},{"kind":"window","panel":2,"run":1}],"points":[[0,0,0],[8,0,0],[8,0,8],[0,0,8]],"runs":[[0,1],[1,2],[2,3],[3,0]]}},' +
  '{"loose":true},{"oneWay":{"drop":true,"side":0}},{"wake":{"by":"touch"}},{"wake":{"by":"near","range":6,"sleep":9}},{"collision":"on"},{"collision":"off"},{"flip":true},' +
  '{"look":{"colour":"#"}},{"look":{"material":"glow"}},{"look":{"material":"ice"}},{"look":{"material":"metal"}},{"look":{"material":"moss"}},' +
  '{"look":{"material":"rope"}},{"look":{"material":"stone"}},{"look":{"material":"slate"},"params":{' +
  '{"params":{"core":2,"count":9,"turn":180}},{"params":{"hole":12,"sweep":15}},{"params":{"open":150}},{"params":{"thickness":0.3,"width":1.2}},' +
  '{"params":{"drop":2,"height":2.5,"period":3}},{"params":{"counted":"beats","height":0.6,"period":8,"phase":0.5,"reach":5,"swing":40}},' +
  '{"params":{"height":3,"length":3,"period":3,"swing":60}},{"params":{"direction":"up","ease":"even","period":4,"phase":0.5,"span":4,"way":"back"}},' +
  '{"params":{"direction":"across","period":6,"span":1.5}},{"params":{"opens":"count","amount":5}},{"params":{"speed":"stops"}},{"params":{"pair":2}},' +
  '{"params":{"force":18,"top":13}},{"params":{"number":2,"resets":"resets"}},{"params":{"number":3}},{"params":{"number":2}},{"params":{"leg":3}},{"params":{"leg":2}},{"params":{"text":"' +
  '{"params":{"length":7.99}},{"params":{"length":8,"rise":0.5}},{"params":{"length":4}},{"params":{"length":6,"rise":-0.5}},' +
  '{"params":{"radius":20,"side":"right","turn":15}},{"params":{"radius":13,"turn":22.5}},{"params":{"radius":9,"rise":-0.2,"turn":30}},{"params":{"radius":3,"side":"right"}},' +
  '{"params":{"rise":0.2,"turn":22.5}},{"params":{"side":"right","turn":22.5}},{"params":{"side":"right","turn":30}},{"params":{"turn":15}},' +
  `"format":"${COURSE_FORMAT}","version":${COURSE_VERSION},"kind":"gather","kind":"hold","hold":10,"laps":3,"kind":"strokes","kind":"laps","laps":2,"kind":"point","name":"","notes":"` +
  'over the and to the of the up the with a round ","own":{"1":{"group":"g1"},"2":{"group":"g2"},"3":{"name":""}},"rests":[{},' +
  '"runner":{"kind":"roller"},"runner":{"kind":"flick"},"runner":{"kind":"cart","settings":{"acceleration":8,"bounce":0.3,"friction":0.2,"grip":1.5,"jumpHeight":2,"strength":14,"topSpeed":10,"turnRadius":3}},' +
  '"sketch":{"closed":true,"points":[[0,0.4,-1],[-2,0.4,0]],"shown":0},"sky":{"fog":0.5,"hour":9,"sight":300,"sound":"wind","sound":"harbour","tide":"#8FB39A"},"sky":{"hour":16,"sound":"shore"},' +
  '"rests":[{},{"look":{"material":"slate"}},{"look":{"material":"timber"}},{"params":{"number":2}}],"runner":{"kind":"hopper"},"space":"side-on","space":"free",' +
  '"targets":{"brisk":45,"steady":60,"swift":40},"welcome":"';
