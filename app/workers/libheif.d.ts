/** The part of the HEIC decoder that is used; its own types do not describe it. */
declare module "libheif-js/libheif-wasm/libheif-bundle.mjs" {
  interface HeifImage {
    get_width(): number;
    get_height(): number;
    /** Writes the pixels into what is given; null where it fails. */
    display(into: ImageData, done: (made: ImageData | null) => void): void;
  }
  export default function load(): {
    HeifDecoder: new () => { decode(bytes: Uint8Array): HeifImage[] };
  };
}
