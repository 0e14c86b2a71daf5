/** One colour per meaning; every use adds a second sign (shape, hatch, dash or word). */
export interface Colours {
  readonly paper: string;
  readonly card: string;
  readonly ink: string;
  readonly slate: string;
  readonly line: string;
  /** Chosen, primary action. */
  readonly moss: string;
  readonly mossSoft: string;
  readonly mossShade: string;
  readonly onMoss: string;
  /** Hazard, error. */
  readonly rust: string;
  readonly rustSoft: string;
  /** Mover. */
  readonly tide: string;
  /** Pickup. */
  readonly lichen: string;
  /** Start, checkpoint, goal. */
  readonly heather: string;
  /** Stones of the phase row: idle, its shade, and the water they stand in. */
  readonly stone: string;
  readonly stoneShade: string;
  readonly shallows: string;
  readonly sky: string;
  /** Behind pictures of pieces, which are drawn for daylight. */
  readonly plate: string;
  readonly scrim: string;
}

export const DAY: Colours = {
  paper: '#F3EFE7',
  card: '#FBF9F4',
  ink: '#1F2A2E',
  slate: '#4A5A60',
  line: '#D8D0C2',
  moss: '#3F6B52',
  mossSoft: '#E4EDE4',
  mossShade: '#1F2A2E',
  onMoss: '#FFFFFF',
  rust: '#B4472E',
  rustSoft: '#F3DDD5',
  tide: '#2C7A8C',
  lichen: '#C9A227',
  heather: '#7A5A94',
  stone: '#DDD5C3',
  stoneShade: '#8F8776',
  shallows: '#CFDFDC',
  sky: '#EEF1EC',
  plate: '#FBF9F4',
  scrim: 'rgba(31,42,46,0.35)',
};

export const NIGHT: Colours = {
  paper: '#172024',
  card: '#1F2A2F',
  ink: '#EDE8DD',
  slate: '#B3BDBD',
  line: '#3A474C',
  moss: '#7FB592',
  mossSoft: '#26392F',
  mossShade: '#3A6148',
  onMoss: '#10201A',
  rust: '#E88B70',
  rustSoft: '#452A22',
  tide: '#74BBCB',
  lichen: '#E2C45A',
  heather: '#B79AD0',
  stone: '#4A5558',
  stoneShade: '#2A3336',
  shallows: '#20343A',
  sky: '#24323A',
  plate: '#BDC3B8',
  scrim: 'rgba(0,0,0,0.5)',
};
