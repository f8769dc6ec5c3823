export function CasePage() {
  return null;
}
