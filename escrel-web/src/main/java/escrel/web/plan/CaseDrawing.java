package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.watchcase.CasePart;
import escrel.core.watchcase.CasePart.Face;
import escrel.core.watchcase.CasePart.Kind;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.Opens;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/**
 * A case cut through the middle, crystal up: its layers as they lie on each other, to scale across and stretched in height,
 * with the movement between them. What has no size yet is drawn to a size of its place.
 *
 * @param height of the drawing, in its units; its width is {@link #WIDTH}
 * @param markup the inside of the SVG; names in it are escaped
 */
public record CaseDrawing(double height, String markup) {
    /** Width of the drawing: the case in the middle, names on both sides. */
    public static final double WIDTH = 43;

    /**
     * What the drawing shows of a job or of the sheet at hand.
     *
     * @param gone whether a part is off
     * @param selected the part at hand, or nothing
     */
    public record State(Predicate<String> gone, @Nullable String selected) {
        /** Everything where it belongs. */
        public static State whole(@Nullable String selected) {
            return new State(c -> false, selected);
        }
    }

    /** Of it, to the left of the middle. */
    private static final double LEFT = 17.3;

    private static final double HALF = 8.8;
    private static final double ROW = 1.8;
    private static final double MOVEMENT = 5.4;
    private static final int RIGHTWARDS = 1;
    private static final int LEFTWARDS = -1;

    /** Draws a case. */
    public static CaseDrawing of(CaseSheet sheet, State state) {
        return new Builder(sheet, state).drawn();
    }

    /** What the page asks of the screen. */
    public String viewBox() {
        return "%s 0 %s %s".formatted(Paths.n(-LEFT), Paths.n(WIDTH), Paths.n(height));
    }

    /** The same without the names: for a list. */
    public String closeBox() {
        return "%s 0 %s %s".formatted(Paths.n(-HALF - 1), Paths.n(2 * HALF + 4.4), Paths.n(height));
    }

    private static final class Builder {
        private final CaseSheet sheet;
        private final State state;
        private final double scale;
        private final StringBuilder out = new StringBuilder(8_000);
        private double y = 0.9;
        /** Where the next name stands on the left. */
        private double free;

        Builder(CaseSheet sheet, State state) {
            this.sheet = sheet;
            this.state = state;
            double widest = sheet.parts().stream()
                    .filter(p -> p.face() != Face.BODY)
                    .mapToDouble(CasePart::diameterMillimetres)
                    .max()
                    .orElse(0);
            this.scale = widest > 0 ? HALF / widest * 0.92 : 0;
        }

        CaseDrawing drawn() {
            List<CasePart> front = sheet.layers(Face.FRONT);
            List<CasePart> back = new ArrayList<>(sheet.layers(Face.BACK));
            Collections.reverse(back);
            double top = y;
            for (int i = 0; i < front.size(); i++) {
                layer(front.get(i), i, front.size());
            }
            double from = y;
            movement();
            double to = y;
            for (int i = 0; i < back.size(); i++) {
                layer(back.get(i), back.size() - 1 - i, back.size());
            }
            double bottom = y;
            body(
                    sheet.opens() == Opens.FRONT ? from : Math.max(top, from - ROW),
                    sheet.opens().atTheBack() ? to : bottom + 0.6);
            return new CaseDrawing(bottom + 1.4, out.toString());
        }

        /** Half the width a layer is drawn to: its own size, or what is usual at its depth. */
        private double reach(CasePart part, int depth, int layers) {
            double own = part.diameterMillimetres() * scale;
            return own > 1.5 ? own : HALF * (0.92 - 0.12 * depth / Math.max(1, layers));
        }

        private void layer(CasePart part, int depth, int layers) {
            double half = reach(part, depth, layers);
            double middle = y + ROW / 2;
            String d = switch (part.kind()) {
                case CRYSTAL -> dome(half, y + 0.1, ROW - 0.3);
                case BACK, DUST_COVER -> plate(half, y + 0.3, ROW - 0.6);
                case SEAL, CROWN_SEAL -> cords(half, middle, 0.34);
                default ->
                    ring(
                            half,
                            y + 0.18,
                            ROW - 0.36,
                            part.kind() == Kind.BEZEL || part.kind() == Kind.TURNING_RING ? 2.2 : 1.5);
            };
            shape(part, d);
            name(part, half, middle, RIGHTWARDS);
            y += ROW;
        }

        private void movement() {
            double half = HALF * 0.62;
            boolean out = state.gone().test(CalibreSheet.CASED);
            double top = y + 0.2;
            free = top + 1.4;
            double height = MOVEMENT + Math.max(0, sheet.layers(Face.INSIDE).size() - 2) * 1.1;
            add("<line class=\"c-hands\" x1=\"-3.6\" x2=\"4.8\" y1=\"%s\" y2=\"%s\"/>"
                    .formatted(Paths.n(top), Paths.n(top)));
            add("<path class=\"p c-movement%s%s\" d=\"%s\" data-part=\"%s\"><title>movement</title></path>"
                    .formatted(
                            out ? " s-gone" : "",
                            CalibreSheet.CASED.equals(state.selected()) ? " s-selected" : "",
                            box(-half, top + 0.35, 2 * half, height - 0.7),
                            CalibreSheet.CASED));
            add("<text class=\"c-word\" text-anchor=\"middle\" x=\"0\" y=\"%s\" font-size=\"1.15\">movement</text>"
                    .formatted(Paths.n(top + height / 2 + 0.3)));
            double step = (height - 0.5) / Math.max(1, sheet.layers(Face.INSIDE).size());
            double at = top + 0.3;
            for (CasePart part : sheet.layers(Face.INSIDE)) {
                shape(part, ring(HALF * 0.8, at + 0.1, Math.min(1.2, step - 0.2), 1.5));
                name(part, HALF * 0.8, at + Math.min(1.2, step - 0.2) / 2 + 0.1, LEFTWARDS);
                at += step;
                free = at - step + 2.4;
            }
            y = top + height;
        }

        private void body(double from, double to) {
            for (int side : new int[] {-1, 1}) {
                double x = side < 0 ? -HALF - 0.5 : HALF - 0.3;
                add("<path class=\"p c-body\" d=\"%s\"/>".formatted(box(x, from, 0.8, to - from)));
            }
            if (sheet.opens() == Opens.FRONT) {
                add("<path class=\"p c-body\" d=\"%s\"/>".formatted(box(-HALF - 0.5, to - 0.6, 2 * HALF + 1, 0.6)));
            }
            double middle = from + (to - from) * 0.55;
            crown(middle);
            for (CasePart part : sheet.layers(Face.BODY)) {
                boolean atCrown =
                        part.kind() == Kind.TUBE || part.kind() == Kind.CROWN_SEAL || part.kind() == Kind.CROWN_WASHER;
                if (atCrown) {
                    shape(
                            part,
                            part.kind() == Kind.TUBE
                                    ? box(HALF + 0.5, middle - 0.42, 0.9, 0.84)
                                    : cordsAt(HALF + 1.7, middle));
                }
            }
            bodyNames(middle);
        }

        private void crown(double middle) {
            String screwed = Boolean.TRUE.equals(sheet.screwDown()) ? " c-screwed" : "";
            add("<path class=\"p c-crown%s\" d=\"%s\"><title>crown</title></path>"
                    .formatted(screwed, box(HALF + 1.4, middle - 0.95, 1.5, 1.9)));
            if (!screwed.isEmpty()) {
                for (int i = 0; i < 3; i++) {
                    double x = HALF + 0.62 + 0.28 * i;
                    add("<line class=\"c-thread\" x1=\"%s\" x2=\"%s\" y1=\"%s\" y2=\"%s\"/>"
                            .formatted(Paths.n(x), Paths.n(x + 0.16), Paths.n(middle - 0.55), Paths.n(middle + 0.55)));
                }
            }
        }

        private void bodyNames(double middle) {
            double at = free;
            int crowns = Math.max(1, sheet.crowns().size());
            Boolean screwed = sheet.screwDown();
            String how = screwed == null ? "" : screwed ? "screw-down " : "plain ";
            String words = (crowns == 1 ? "" : crowns + " ") + how + (crowns == 1 ? "crown" : "crowns");
            label(HALF + 3.3, middle + 0.38, "start", words, "", false);
            for (CasePart part : sheet.layers(Face.BODY)) {
                label(-HALF - 1.5, at, "end", part.part().name(), part.code(), sheet.staysBesides(part));
                at += 1.5;
            }
            y = Math.max(y, at - 1.4);
        }

        private void shape(CasePart part, String d) {
            String style = "c-" + part.kind().name().toLowerCase(Locale.ROOT).replace('_', '-')
                    + (part.kind().isSeal() ? " c-cord" : "")
                    + (sheet.staysBesides(part) ? " c-stays" : "")
                    + (state.gone().test(part.code()) ? " s-gone" : "")
                    + (part.code().equals(state.selected()) ? " s-selected" : "");
            add("<path class=\"p c-layer %s\" d=\"%s\" data-part=\"%s\"><title>%s</title></path>"
                    .formatted(style, d, safe(part.code()), safe(part.part().name())));
        }

        private void name(CasePart part, double half, double at, int where) {
            double end = where < 0 ? -half - 0.2 : half + 0.2;
            double edge = where < 0 ? -HALF - 1.2 : HALF + 2.9;
            add("<line class=\"c-lead\" x1=\"%s\" x2=\"%s\" y1=\"%s\" y2=\"%s\"/>"
                    .formatted(Paths.n(end), Paths.n(edge), Paths.n(at), Paths.n(at)));
            label(
                    edge + (where < 0 ? -0.3 : 0.4),
                    at + 0.38,
                    where < 0 ? "end" : "start",
                    part.part().name(),
                    part.code(),
                    sheet.staysBesides(part));
        }

        private void label(double x, double at, String anchor, String words, String code, boolean stays) {
            boolean chosen = !code.isEmpty() && code.equals(Objects.requireNonNullElse(state.selected(), ""));
            add("<text class=\"c-name%s%s\" text-anchor=\"%s\" x=\"%s\" y=\"%s\" font-size=\"1.15\"%s>%s</text>"
                    .formatted(
                            stays ? " c-quiet" : "",
                            chosen ? " c-chosen" : "",
                            anchor,
                            Paths.n(x),
                            Paths.n(at),
                            code.isEmpty() ? "" : " data-part=\"" + safe(code) + "\"",
                            safe(words)));
        }

        private static String plate(double half, double top, double height) {
            return box(-half, top, 2 * half, height);
        }

        private static String ring(double half, double top, double height, double width) {
            return box(-half, top, width, height) + box(half - width, top, width, height);
        }

        private static String dome(double half, double top, double height) {
            return "M%s %sQ0 %s %s %sL%s %sQ0 %s %s %sZ"
                    .formatted(
                            Paths.n(-half),
                            Paths.n(top + height),
                            Paths.n(top - height * 0.7),
                            Paths.n(half),
                            Paths.n(top + height),
                            Paths.n(half - 0.7),
                            Paths.n(top + height),
                            Paths.n(top + height * 0.15),
                            Paths.n(-half + 0.7),
                            Paths.n(top + height));
        }

        private static String cords(double half, double middle, double r) {
            return cord(-half + r, middle, r) + cord(half - r, middle, r);
        }

        private static String cordsAt(double x, double middle) {
            return cord(x, middle - 0.6, 0.2) + cord(x, middle + 0.6, 0.2);
        }

        private static String cord(double x, double at, double r) {
            return "M%s %sa%s %s 0 1 0 %s 0a%s %s 0 1 0 %s 0Z"
                    .formatted(
                            Paths.n(x - r),
                            Paths.n(at),
                            Paths.n(r),
                            Paths.n(r),
                            Paths.n(2 * r),
                            Paths.n(r),
                            Paths.n(r),
                            Paths.n(-2 * r));
        }

        private static String box(double x, double top, double width, double height) {
            return "M%s %sh%sv%sh%sZ"
                    .formatted(Paths.n(x), Paths.n(top), Paths.n(width), Paths.n(height), Paths.n(-width));
        }

        private void add(String markup) {
            out.append(markup);
        }

        private static String safe(String words) {
            return HtmlUtils.htmlEscape(words);
        }
    }
}
