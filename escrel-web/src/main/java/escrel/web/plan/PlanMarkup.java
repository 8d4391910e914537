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
        add("<g><path class=\"p ", s.style(), "\" d=\"", s.path(), "\" data-part=\"", safe(s.code()), "\"><title>");
        add(safe(s.name()), "</title></path>");
        if (!s.detail().isEmpty() && !s.style().contains("s-gone")) {
            add("<path class=\"p-detail\" d=\"", s.detail(), "\"></path>");
        }
        add("</g>");
    }

    private void jewel(PlanDrawing.Point j) {
        double r = plan.radius() * (j.style().equals("cap") ? 0.034 : 0.022);
        circle("jewel", j.x(), j.y(), r);
    }

    private void screw(PlanDrawing.Screw s) {
        circle("screw " + s.style(), s.x(), s.y(), s.radius());
        String x = Paths.n(s.x());
        String y = Paths.n(s.y());
        if (!s.style().contains("s-gone")) {
            add("<line class=\"slot", s.left() ? " left" : "", "\" x1=\"", Paths.n(s.x() - s.radius()));
            add("\" x2=\"", Paths.n(s.x() + s.radius()), "\" y1=\"", y, "\" y2=\"", y);
            add("\" transform=\"rotate(", Integer.toString(s.turn()), " ", x, " ", y, ")\"></line>");
        }
        if (s.left()) {
            text("left-mark", s.x() + s.radius() * 2.1, s.y() - s.radius() * 0.9, 0.085, "L");
        }
    }

    private void flag(PlanDrawing.Point f) {
        double r = plan.radius();
        add("<g><path class=\"flag-shape\" d=\"M", Paths.n(f.x()), " ", Paths.n(f.y() - r * 0.07));
        add("l", Paths.n(r * 0.065), " ", Paths.n(r * 0.11), "h", Paths.n(-r * 0.13), "Z\"></path>");
        text("flag-text", f.x(), f.y() + r * 0.028, 0.08, "!");
        add("</g>");
    }

    private void circle(String style, double x, double y, double r) {
        add("<circle class=\"", style.strip(), "\" cx=\"", Paths.n(x), "\" cy=\"", Paths.n(y));
        add("\" r=\"", Paths.n(r), "\"></circle>");
    }

    private void text(String style, double x, double y, double size, String words) {
        add("<text class=\"", style, "\" text-anchor=\"middle\" x=\"", Paths.n(x), "\" y=\"", Paths.n(y));
        add("\" font-size=\"", Paths.n(plan.radius() * size), "\">", words, "</text>");
    }

    /** Piece by piece: a formatter is slow, and a plan has hundreds of shapes. */
    private void add(String... pieces) {
        for (String piece : pieces) {
            out.append(piece);
        }
    }

    private static String safe(String words) {
        return HtmlUtils.htmlEscape(words);
    }
}
