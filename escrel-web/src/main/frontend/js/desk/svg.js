const SVG = "http://www.w3.org/2000/svg";

/** An element of a drawing. */
export function element(name, attributes, text) {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  if (text) made.textContent = text;
  return made;
}
