package escrel.web.demo;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.Predicate;

/** A rendered stand-in for a photograph of one side of a movement: metal, light from the left, nothing a plan would say. */
public final class PlanPicture {
    /** Where the plate lies in every such picture, as fractions of its width: centre and radius. */
    public static final double CENTRE = 0.5;

    /** See {@link #CENTRE}. */
    public static final double RADIUS = 0.42;

    private static final int SIZE = 1000;
    private static final Color BENCH = new Color(0x3f4a46);
    private static final Color PLATE = new Color(0xc9c0a8);
    private static final Color BRASS = new Color(0xcfb061);
    private static final Color STEEL = new Color(0x9aa3b0);
    private static final Color EDGE = new Color(0x5b5544);

    private PlanPicture() {}

    /** A side with everything on it that is still on. */
    public static byte[] of(CalibreSheet sheet, Side side, Predicate<String> off) {
        BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(BENCH);
        g.fillRect(0, 0, SIZE, SIZE);
        double radius = sheet.data().diameterMillimetres() / 2;
        double scale = RADIUS * SIZE / radius;
        g.transform(
                new AffineTransform(side == Side.TRAIN ? -scale : scale, 0, 0, -scale, CENTRE * SIZE, CENTRE * SIZE));
        metal(g, circle(0, 0, radius), PLATE, radius);
        List<Part> parts = sheet.parts();
        for (int i = parts.size() - 1; i >= 0; i--) {
            Part part = parts.get(i);
            boolean here = part.side() == side
                    || part.unit() != null && sheet.requirePart(part.unit()).side() == side;
            boolean gone = off.test(part.code()) || part.unit() != null && off.test(part.unit());
            if (here && !gone && part.shape() != null && part.group() != Group.CASE) {
                draw(g, part.shape(), radius);
            }
        }
        sheet.screws().stream()
                .filter(s -> sheet.requirePart(s.part()).side() == side && !off.test(s.part()))
                .filter(s -> sheet.requirePart(s.part()).group() != Group.DIAL_AND_HANDS)
                .forEach(s -> {
                    double head = Math.max(0.22, 0.42 * s.bladeMillimetres());
                    metal(g, circle(s.x(), s.y(), head), STEEL, radius);
                    g.setColor(new Color(0x2a2d33));
                    double turn = Math.floorMod(s.code().hashCode(), 180) * Math.PI / 180;
                    AffineTransform before = g.getTransform();
                    g.rotate(turn, s.x(), s.y());
                    g.fill(new Rectangle2D.Double(s.x() - head, s.y() - head * 0.12, 2 * head, head * 0.24));
                    g.setTransform(before);
                });
        g.dispose();
        return DrawnPictures.encoded(image);
    }

    private static void draw(Graphics2D g, Shape shape, double radius) {
        switch (shape.kind()) {
            case WHEEL, BALANCE -> {
                Area rim = new Area(circle(shape.x(), shape.y(), shape.radius()));
                rim.subtract(new Area(circle(shape.x(), shape.y(), 0.8 * shape.radius())));
                rim.add(new Area(new Rectangle2D.Double(
                        shape.x() - shape.radius() * 0.9,
                        shape.y() - shape.radius() * 0.07,
                        shape.radius() * 1.8,
                        shape.radius() * 0.14)));
                rim.add(new Area(circle(shape.x(), shape.y(), 0.2 * shape.radius())));
                metal(g, rim, BRASS, radius);
            }
            case BARREL -> metal(g, circle(shape.x(), shape.y(), shape.radius()), BRASS, radius);
            case RING -> {
                Area ring = new Area(circle(shape.x(), shape.y(), shape.radius()));
                ring.subtract(new Area(circle(shape.x(), shape.y(), 0.8 * shape.radius())));
                metal(g, ring, new Color(0xe9e6dc), radius);
            }
            case OUTLINE, POLYGON -> metal(g, path(shape.points(), true), PLATE.brighter(), radius);
            case LINE -> {
                g.setColor(STEEL.darker());
                g.setStroke(new BasicStroke((float) (radius * 0.02)));
                g.draw(path(shape.points(), false));
            }
            default -> metal(g, circle(shape.x(), shape.y(), Math.max(0.2, shape.radius())), STEEL, radius);
        }
    }

    private static Ellipse2D circle(double x, double y, double r) {
        return new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r);
    }

    private static Path2D path(List<double[]> points, boolean closed) {
        Path2D path = new Path2D.Double();
        for (int i = 0; i < points.size(); i++) {
            if (i == 0) {
                path.moveTo(points.get(i)[0], points.get(i)[1]);
            } else {
                path.lineTo(points.get(i)[0], points.get(i)[1]);
            }
        }
        if (closed) {
            path.closePath();
        }
        return path;
    }

    private static void metal(Graphics2D g, java.awt.Shape shape, Color color, double radius) {
        g.setPaint(new GradientPaint(
                (float) -radius, (float) radius, color.brighter(), (float) radius, (float) -radius, color.darker()));
        g.fill(shape);
        g.setColor(EDGE);
        g.setStroke(new BasicStroke((float) (radius * 0.006)));
        g.draw(shape);
    }
}
