/**
 * Asks for files.
 * @param accept as the `accept` of a file input
 * @returns none where nothing was chosen
 */
export const askForFiles = (accept: string): Promise<readonly File[]> =>
  new Promise((resolve) => {
    const input = document.createElement('input');
    Object.assign(input, { type: 'file', multiple: true, accept });
    input.addEventListener('change', () => resolve([...(input.files ?? [])]));
    input.addEventListener('cancel', () => resolve([]));
    input.click();
  });
