import { Link } from 'react-router'

/** The mark: two pulleys and a belt. */
export function Brand() {
  return (
    <Link
      to="/"
      className="flex min-h-11 shrink-0 items-center gap-2.5 rounded pr-1"
      aria-label="Zesty Lathe, to your shops"
    >
      <svg
        width="26"
        height="26"
        viewBox="0 0 26 26"
        aria-hidden="true"
        fill="none"
        strokeWidth="2"
        stroke="currentColor"
      >
        <circle cx="9" cy="13" r="7.5" />
        <circle cx="20.5" cy="13" r="3.6" />
        <path d="M9 5.5L20.5 9.4M9 20.5l11.5-3.9" stroke="var(--blue)" />
      </svg>
      <b className="hidden font-cond text-[20px] font-semibold tracking-wide sm:inline">Zesty Lathe</b>
    </Link>
  )
}
