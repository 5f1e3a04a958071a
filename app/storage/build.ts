let build: string | null = null

/** Says which build of the program this is. */
export function sayBuild(id: string): void {
  build = id
}

/** The build of the program that writes here; null where nobody has said. */
export const thisBuild = (): string | null => build
