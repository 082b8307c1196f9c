// The stitches of a skill: one for every exposure, to be chosen and dragged to another session.
import type { Curriculum, Schemas } from '../../../api/client'
import type { At } from '../at'
import type { Edit } from '../queries'
import type { Scale } from './scale'
import { StitchMark } from './threads'

interface Props {
  view: Curriculum
  skill: Schemas['SkillLine']
  scale: Scale
  at: At
  onChoose: (at: At) => void
  onEdit: (edit: Edit) => void
  /** Where a block is dragged to, while it is. */
  onOver: (session: number | null) => void
}

export function Stitches({ view, skill, scale, at, onChoose, onEdit, onOver }: Props) {
  const stitches = view.stitches.filter((s) => s.skill === skill.id)
  return stitches.map((stitch, i) => {
    const { session, block } = stitch
    const beside = stitches.filter((s) => s.session === session)
    const shift = (beside.indexOf(stitch) - (beside.length - 1) / 2) * scale.beside
    const held = view.sessions[session]?.blocks[block]
    return (
      <StitchMark
        key={i}
        stitch={stitch}
        strand={skill.strand}
        scale={scale}
        x={scale.x(session) + shift}
        y={scale.y(skill.id) + scale.below(stitch.harder)}
        chosen={session === at.session && block === at.block}
        locked={held?.locked ?? false}
        split={Boolean(held?.beside)}
        broken={view.breaches.some((b) => b.session === session && b.block === block)}
        onChoose={() => onChoose({ session, skill: skill.id, block })}
        onDrag={(across) => onOver(across === null ? null : scale.sessionAt(across))}
        onDrop={(across) => {
          onOver(null)
          const to = scale.sessionAt(across)
          if (to !== null && to !== session) onEdit({ edit: 'move', session, block, to, at: null })
        }}
      />
    )
  })
}
