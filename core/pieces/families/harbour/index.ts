export { boat, buoy, lugger } from './boats';
export { hut, kiln, lamp } from './buildings';
export { anchor, bench, creels, hoop, nets } from './quay';
export { banner, board, bunting, pointer } from './signs';
