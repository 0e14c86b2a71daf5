declare module 'gltf-validator' {
  interface Issues {
    readonly numErrors: number;
    readonly numWarnings: number;
    readonly messages: readonly { readonly severity: number; readonly message: string }[];
  }
  /** Holds a glTF file to its specification. */
  export function validateBytes(bytes: Uint8Array): Promise<{ readonly issues: Issues }>;
}
