package escrel.web.plan;

import org.springframework.web.util.HtmlUtils;

/**
 * The inside of a plan's SVG as markup. A chronograph has some hundred shapes with half a dozen attributes each; asking
 * the template engine for every one of them took as long as all the rest of the page.
 */
final class PlanMarkup {
    private final PlanDrawing plan;
    private final StringBuilder out = new StringBuilder(40_000);

    private PlanMarkup(PlanDrawing plan) {
        this.plan = plan;
    }

    static String of(PlanDrawing plan) {
        PlanMarkup markup = new PlanMarkup(plan);
        plan.shapes().forEach(markup::shape);
        plan.jewels().forEach(markup::jewel);
        plan.screws().forEach(markup::screw);
        plan.flags().forEach(markup::flag);
        return markup.out.toString();
    }

    private void shape(PlanDrawing.Drawn s) {
        add("<g><path class=\"p %s\" d=\"%s\" data-part=\"%s\"><title>%s</title></path>"
                .formatted(s.style(), s.path(), safe(s.code()), safe(s.name())));
        if (!s.detail().isEmpty() && !s.style().contains("s-gone")) {
            add("<path class=\"p-detail\" d=\"" + s.detail() + "\"></path>");
        }
        add("</g>");
    }

    private void jewel(PlanDrawing.Point j) {
        double r = plan.radius() * (j.style().equals("cap") ? 0.034 : 0.022);
        add(circle("jewel", j.x(), j.y(), r));
    }

    private void screw(PlanDrawing.Screw s) {
        add(circle("screw " + s.style(), s.x(), s.y(), s.radius()));
        if (!s.style().contains("s-gone")) {
            add("<line class=\"slot%s\" x1=\"%s\" x2=\"%s\" y1=\"%s\" y2=\"%s\" transform=\"rotate(%d %s %s)\"></line>"
                    .formatted(
                            s.left() ? " left" : "",
                            Paths.n(s.x() - s.radius()),
                            Paths.n(s.x() + s.radius()),
                            Paths.n(s.y()),
                            Paths.n(s.y()),
                            s.turn(),
                            Paths.n(s.x()),
                            Paths.n(s.y())));
        }
        if (s.left()) {
            add(text("left-mark", s.x() + s.radius() * 2.1, s.y() - s.radius() * 0.9, 0.085, "L"));
        }
    }

    private void flag(PlanDrawing.Point f) {
        double r = plan.radius();
        add("<g><path class=\"flag-shape\" d=\"M%s %sl%s %sh%sZ\"></path>"
                .formatted(
                        Paths.n(f.x()),
                        Paths.n(f.y() - r * 0.07),
                        Paths.n(r * 0.065),
                        Paths.n(r * 0.11),
                        Paths.n(-r * 0.13)));
        add(text("flag-text", f.x(), f.y() + r * 0.028, 0.08, "!"));
        add("</g>");
    }

    private static String circle(String style, double x, double y, double r) {
        return "<circle class=\"%s\" cx=\"%s\" cy=\"%s\" r=\"%s\"></circle>"
                .formatted(style.strip(), Paths.n(x), Paths.n(y), Paths.n(r));
    }

    private String text(String style, double x, double y, double size, String words) {
        return "<text class=\"%s\" text-anchor=\"middle\" x=\"%s\" y=\"%s\" font-size=\"%s\">%s</text>"
                .formatted(style, Paths.n(x), Paths.n(y), Paths.n(plan.radius() * size), words);
    }

    private void add(String markup) {
        out.append(markup);
    }

    private static String safe(String words) {
        return HtmlUtils.htmlEscape(words);
    }
}
