import type { PlacementSchool } from '../../../core/joints/joint.ts'
import type { BuildView } from '../builds/build-view.ts'

/** A build as it would be with the gearbox kept where it was, or the engine set back. */
export const placed = (view: BuildView, school: PlacementSchool | undefined): BuildView =>
  school === undefined || (view.build.school ?? 'keep') === school
    ? view
    : { ...view, build: { ...view.build, school } }
