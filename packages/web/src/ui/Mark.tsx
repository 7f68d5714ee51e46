/** The mark: a wheel of buckets. */
export function Mark({ size = 26 }: { size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 26 26"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.6"
      aria-hidden
    >
      <circle cx="13" cy="13" r="6.2" />
      <circle cx="13" cy="13" r="1.6" fill="var(--copper)" stroke="none" />
      <g fill="var(--panel)">
        {[0, 60, 120, 180, 240, 300].map((angle) => (
          <path key={angle} d="M10.6 1.6h4.8l-.7 4h-3.4z" transform={`rotate(${angle} 13 13)`} />
        ))}
      </g>
    </svg>
  );
}
