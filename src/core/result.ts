/** Refusals are values in the core: a code with the parameters of the sentence; the words live in the interface. */
export type Result<Value, Refusal> = { ok: true; value: Value } | { ok: false; refusal: Refusal };

export const ok = <Value>(value: Value): { ok: true; value: Value } => ({ ok: true, value });
export const refused = <Refusal>(refusal: Refusal): { ok: false; refusal: Refusal } => ({
  ok: false,
  refusal,
});
