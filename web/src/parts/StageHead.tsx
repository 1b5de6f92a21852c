/** Name of a stage and one line on what it is for. */
export function StageHead({ title, lead }: { title: string; lead: string }) {
  return (
    <div className="mb-3">
      <h1 className="h-stage">{title}</h1>
      <p className="lead">{lead}</p>
    </div>
  )
}
