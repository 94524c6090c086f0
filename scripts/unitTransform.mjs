// What unit tests run: TypeScript by swc, and in every module the language's own objects at hand.
import swc from "@swc/jest";

/**
 * A test file runs in a context of its own, where each look at a global costs as much as a hundred square roots; a name
 * of the module itself costs nothing.
 */
const AT_HAND =
  "const { Array, ArrayBuffer, Date, Float64Array, JSON, Map, Math, Number, Object, Set, String, Uint8Array } = globalThis; ";

const atHand = (result) => ({ ...result, code: AT_HAND + result.code });

export default {
  createTransformer(options) {
    const transformer = swc.createTransformer(options);
    const ours = (path) => !path.includes("node_modules");
    return {
      canInstrument: false,
      getCacheKey: (...given) => `${transformer.getCacheKey(...given)}-${AT_HAND.length}`,
      process: (code, path, how) => atHand(ours(path) ? transformer.process(code, path, how) : { code }),
      processAsync: async (code, path, how) =>
        atHand(ours(path) ? await transformer.processAsync(code, path, how) : { code }),
    };
  },
};
