/** The editor that was last worked in: only it shows the settings of its parts. */
export const activeEditor = $state({ id: '' });
