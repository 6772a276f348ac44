/** A note asks for nothing. */
export default function NoteSit() {
  return null;
}
