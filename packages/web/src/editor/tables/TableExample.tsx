const EXAMPLE = [
  ['hut', 'beds', 'height'],
  ['Hut two', '24', '2 710 m'],
  ['Hut four', '18', '2 385 m'],
] as const;

/** What a table is and what becomes of it, by an example. */
export function TableExample() {
  const [heading, ...rows] = EXAMPLE;
  return (
    <figure className="grid gap-2 rounded-s bg-field p-2.5">
      <table className="w-full bg-panel text-left text-sm">
        <thead>
          <tr>
            {heading.map((cell) => (
              <th key={cell} scope="col" className="border border-hair px-2 py-0.5 font-semibold">
                {cell}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([first, ...cells]) => (
            <tr key={first}>
              <th scope="row" className="border border-hair px-2 py-0.5 font-normal">
                {first}
              </th>
              {cells.map((cell) => (
                <td key={cell} className="figures border border-hair px-2 py-0.5">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="grid grid-cols-2 gap-2" aria-hidden>
        {rows.map(([name, beds]) => (
          <span
            key={name}
            className="grid rounded-s px-2.5 py-2 text-water-ink"
            style={{ background: 'var(--water-2)' }}
          >
            <b className="font-title text-lg">{beds}</b>
            <span className="text-sm">{name}</span>
          </span>
        ))}
      </div>
      <figcaption className="text-[11.5px] text-soft">
        A file for example: the first line names the columns, and two rows make two tiles.
      </figcaption>
    </figure>
  );
}
