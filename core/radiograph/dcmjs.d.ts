/** The parts of dcmjs that the specifications use; the package ships no types of its own. */
declare module "dcmjs" {
  interface Dictionary {
    dict: Record<string, unknown>;
    write: () => ArrayBuffer;
  }
  const dcmjs: {
    data: {
      DicomMessage: { readFile: (bytes: ArrayBuffer) => unknown };
      DicomMetaDictionary: {
        denaturalizeDataset: (data: Record<string, unknown>) => Record<string, unknown>;
      };
      DicomDict: new (meta: Record<string, unknown>) => Dictionary;
    };
  };
  export default dcmjs;
}
