import { z } from "zod";
import { LIMBS } from "./limb";

/** A limb in a record. */
export const limbField = z.enum(LIMBS);
