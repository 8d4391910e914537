package escrel.web.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Draws stand-ins for photographs. */
final class DrawnPictures {
    private static final int SIZE = 900;

    private DrawnPictures() {}

    /** A pocket watch from the front. */
    static byte[] pocketWatch() {
        return draw(g -> {
            disc(g, new Color(0xb8b2a4), SIZE / 2, SIZE / 2 + 20, 380);
            disc(g, new Color(0xf7f4ec), SIZE / 2, SIZE / 2 + 20, 340);
            g.setColor(new Color(0xb8b2a4));
            g.fillRoundRect(SIZE / 2 - 34, 20, 68, 90, 24, 24);
            ticks(g, SIZE / 2, SIZE / 2 + 20, 310, 60);
            disc(g, new Color(0xe8e3d6), SIZE / 2, SIZE / 2 + 190, 90);
            hand(g, SIZE / 2, SIZE / 2 + 20, 190, 300, 14);
            hand(g, SIZE / 2, SIZE / 2 + 20, 280, 62, 9);
            hand(g, SIZE / 2, SIZE / 2 + 190, 70, 200, 4);
        });
    }

    /** A worn pivot hole, much enlarged. */
    static byte[] wornHole() {
        return draw(g -> {
            disc(g, new Color(0xd9b65c), SIZE / 2, SIZE / 2, 430);
            g.setColor(new Color(0x2a2118));
            g.fill(new Ellipse2D.Double(SIZE / 2.0 - 120, SIZE / 2.0 - 90, 300, 190));
            disc(g, new Color(0x9aa2ad), SIZE / 2 - 40, SIZE / 2, 82);
        });
    }

    private interface Drawing {
        void on(Graphics2D g);
    }

    private static byte[] draw(Drawing drawing) {
        BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(new Color(0x4a5a52));
        g.fillRect(0, 0, SIZE, SIZE);
        drawing.on(g);
        g.dispose();
        return encoded(image);
    }

    /** As a camera hands it over. */
    static byte[] encoded(BufferedImage image) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(image, "jpeg", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void disc(Graphics2D g, Color color, double x, double y, double r) {
        g.setColor(color);
        g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
    }

    private static void ticks(Graphics2D g, double x, double y, double r, int count) {
        g.setColor(new Color(0x22282f));
        for (int i = 0; i < count; i++) {
            double a = 2 * Math.PI * i / count;
            double in = i % 5 == 0 ? r - 34 : r - 12;
            g.setStroke(new BasicStroke(i % 5 == 0 ? 8 : 3));
            g.draw(new Line2D.Double(
                    x + in * Math.sin(a), y - in * Math.cos(a), x + r * Math.sin(a), y - r * Math.cos(a)));
        }
    }

    private static void hand(Graphics2D g, double x, double y, double length, double degrees, float width) {
        double a = Math.toRadians(degrees);
        g.setColor(new Color(0x2d4f8b));
        g.setStroke(new BasicStroke(width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(new Line2D.Double(x, y, x + length * Math.sin(a), y - length * Math.cos(a)));
    }
}
