// A swap that changes only what is different: after a step nearly all of the bench is as it was, and drawing the plan and the
// ladder anew would cost most of the time in which the step is seen.
import { Idiomorph } from "idiomorph";

// nothing in them is typed or chosen: as written is as seen
const DRAWN = ".rung, .plan svg, .plan svg *";
const ASKS = "[hx-get], [hx-post]";

export function startMorph(htmx) {
  htmx.defineExtension("morph", {
    isInlineSwap: (style) => style === "morph",
    handleSwap(style, target, fragment) {
      if (style !== "morph") return false;
      const silenced = [];
      const bench = Idiomorph.morph(target, fragment.children, {
        morphStyle: "outerHTML",
        callbacks: {
          beforeNodeMorphed(old, now) {
            // dozens of rungs and shapes are as they were, which the browser knows sooner than a comparison piece by piece
            if (old instanceof Element && old.matches(DRAWN) && old.isEqualNode(now)) return false;
            if (old instanceof Element && old.matches(ASKS) && !now.matches(ASKS)) silenced.push(old);
            return true;
          },
        },
      });
      // what asked the server and does not any more would still do it: its listener is on the element, and goes with it
      for (const old of silenced) old.replaceWith(old.cloneNode(true));
      // a file that was sent is not chosen any more
      for (const file of document.querySelectorAll(`#${target.id} input[type=file]`)) file.value = "";
      return bench;
    },
  });
}
