declare module 'swagger-ui-dist' {
  /** Folder of the package's files. */
  export function absolutePath(): string;
}
