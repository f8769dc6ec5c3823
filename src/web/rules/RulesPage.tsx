export function RulesPage() {
  return null;
}
