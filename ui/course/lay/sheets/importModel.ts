import { layPiece } from '@/core/edit';
import { showToast } from '../../../parts';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';

/** Brings a 3D model in as scenery: checked, made lighter, kept with the course, and in the middle of the view. */
export async function importModel(file: File): Promise<void> {
  try {
    // The reader of models is large; who brings none in does not load it.
    const { readModel, MAX_MODEL_BYTES } = await import('@/core/formats/model');
    if (file.size > MAX_MODEL_BYTES) {
      const size = (file.size / 1024 / 1024).toFixed(0);
      throw new Error(`${file.name} has ${size} MB; a model has at most 10 MB.`);
    }
    const { id, model, size, dropped } = await readModel(
      new Uint8Array(await file.arrayBuffer()),
      file.name.replace(/\.glb$/i, ''),
    );
    const [x, y, z] = useView.getState().target;
    const { level } = useLay.getState();
    useCourse.getState().edit((course) =>
      layPiece(
        { ...course, models: { ...course.models, [id]: model } },
        {
          family: 'model',
          at: [
            Math.round(x * 2) / 2,
            useView.getState().mode === 'side' ? Math.round(y * 2) / 2 : level,
            Math.round(z * 2) / 2,
          ],
          size,
          params: { model: id },
          name: model.name,
        },
      ),
    );
    const { course, choose } = useCourse.getState();
    choose([course.pieces[course.pieces.length - 1].id]);
    showToast(
      dropped > 0
        ? `${model.name} is in the course, made lighter by ${dropped} triangles.`
        : `${model.name} is in the course as scenery.`,
    );
  } catch (problem) {
    showToast((problem as Error).message);
  }
}
