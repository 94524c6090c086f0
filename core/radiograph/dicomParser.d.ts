/** The parts of dicom-parser that are used; the package ships no types of its own. */
declare module "dicom-parser" {
  export interface Element {
    dataOffset: number;
    length: number;
    fragments?: { offset: number; position: number; length: number }[];
    basicOffsetTable?: number[];
  }
  export interface DataSet {
    byteArray: Uint8Array<ArrayBuffer>;
    elements: Record<string, Element | undefined>;
    string: (tag: string) => string | undefined;
    uint16: (tag: string) => number | undefined;
  }
  const dicomParser: {
    parseDicom: (
      bytes: Uint8Array,
      options?: { inflater?: (bytes: Uint8Array, from: number) => Uint8Array },
    ) => DataSet;
    readEncapsulatedPixelDataFromFragments: (
      data: DataSet,
      element: Element,
      from: number,
      count: number,
    ) => Uint8Array;
    readEncapsulatedImageFrame: (data: DataSet, element: Element, frame: number) => Uint8Array;
  };
  export default dicomParser;
}
