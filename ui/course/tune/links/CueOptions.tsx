import { changeLink, cueMisfit, newCue } from '@/core/edit';
import { CUE_TRAITS, CUES, type CueKind, type Link } from '@/core/course';
import { Chip, Choices, NumberField } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { useTune } from '../../open/tuneStore';
import { CUE_ROWS } from './cueRows';
import { PiecesPicked, toggled } from './PiecesPicked';

/** What a link waits for. */
export function CueOptions({ link }: { link: Link }) {
  const { edit } = useEditing();
  const { cue } = link;
  const change = (to: Link['cue'], merge?: string) =>
    edit((now) => changeLink(now, link.id, { cue: to }), merge);
  const take = (id: string) =>
    edit((now) => {
      const old = now.links?.find((one) => one.id === link.id)?.cue ?? cue;
      return changeLink(now, link.id, { cue: { ...old, pieces: toggled(old.pieces, id) } });
    });
  const toggleAll = () => {
    const { all, ...rest } = cue;
    change(all ? rest : { ...cue, all: true });
  };
  return (
    <>
      <Choices
        label="When"
        value={cue.kind}
        options={CUES.map((value) => ({ value, label: CUE_ROWS[value].label }))}
        onChange={(kind: CueKind) => change(newCue(kind, cue.pieces))}
      />
      {CUE_TRAITS[cue.kind].ofPieces && (
        <PiecesPicked
          ids={cue.pieces}
          onPick={() =>
            useTune.getState().set({
              picking: {
                words: 'Touch the piece it waits for',
                misfit: (now, piece) => cueMisfit(now, cue.kind, piece),
                take,
              },
            })
          }
          onDrop={(id) => change({ ...cue, pieces: toggled(cue.pieces, id) })}
        />
      )}
      {CUE_TRAITS[cue.kind].ofAll && (cue.pieces?.length ?? 0) > 1 && (
        <Chip
          role="checkbox"
          label="All of them, each at any time"
          on={cue.all === true}
          onPress={toggleAll}
        />
      )}
      {cue.count !== undefined && (
        <NumberField
          label={CUE_ROWS[cue.kind].count ?? 'How many'}
          unit=""
          step={1}
          value={cue.count}
          onChange={(count) => change({ ...cue, count: Math.round(count) }, 'cue count')}
        />
      )}
      {cue.seconds !== undefined && (
        <NumberField
          label={CUE_ROWS[cue.kind].seconds ?? 'Time'}
          unit="s"
          step={0.25}
          value={cue.seconds}
          onChange={(seconds) => change({ ...cue, seconds }, 'cue seconds')}
        />
      )}
    </>
  );
}
