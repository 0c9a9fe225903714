/** A page of the documentation, made into HTML when the screens are built. */
declare module "*.md?page" {
  const html: string
  export default html
}
