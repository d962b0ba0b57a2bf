/** Why the folder of a bench is not opened, and what to do: for the person at the terminal. Its files are as they were. */
export class FolderError extends Error {}
