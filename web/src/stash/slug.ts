/** An id made of the name, with a tail that keeps it apart from others of that name. */
export function slug(name: unknown): string {
  const words = String(name ?? "material")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40)
  return `${words || "material"}-${Date.now().toString(36)}`
}
