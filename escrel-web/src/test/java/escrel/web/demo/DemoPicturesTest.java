package escrel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.job.Job;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** The pictures kept with the project are those its drawing gives, as far as another Java's edges and packing differ. */
class DemoPicturesTest {
    private static final double DIFFERENT = 60;
    // share of the points that may differ so much
    private static final double SAME = 0.0005;

    private static BufferedImage read(byte[] picture) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(picture));
    }

    private static int apart(Color a, Color b) {
        return Math.abs(a.getRed() - b.getRed())
                + Math.abs(a.getGreen() - b.getGreen())
                + Math.abs(a.getBlue() - b.getBlue());
    }

    /** Share of the points that anybody would call of another colour. */
    private static double share(byte[] one, byte[] other) throws IOException {
        BufferedImage a = read(one);
        BufferedImage b = read(other);
        assertThat(a.getWidth()).isEqualTo(b.getWidth());
        assertThat(a.getHeight()).isEqualTo(b.getHeight());
        int different = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                different += apart(new Color(a.getRGB(x, y)), new Color(b.getRGB(x, y))) > DIFFERENT ? 1 : 0;
            }
        }
        return (double) different / a.getWidth() / a.getHeight();
    }

    @Test
    void areAsTheyAreDrawnNow() throws IOException {
        for (Map.Entry<String, byte[]> drawn : DemoPicturesFile.drawn().entrySet()) {
            assertThat(share(DemoPictures.called(drawn.getKey()), drawn.getValue()))
                    .as("%s: run DemoPicturesFile", drawn.getKey())
                    .isLessThan(SAME);
        }
    }

    /** What the measure above has to tell apart: any one part fewer, the smallest too; what lies under others is not seen. */
    @Test
    void onePartFewerIsAnotherPicture() throws IOException {
        byte[] kept = DemoPictures.called("lamp-timer-column-wheel");
        Job job = DemoPicturesFile.lampTimer();
        int seen = 0;
        for (Part part : job.movement().parts()) {
            if (part.shape() == null
                    || part.side() != Side.TRAIN
                    || job.teardown().isOff(part.code())) {
                continue;
            }
            double share = share(kept, DemoPicturesFile.taken(job, 2, part.code()));
            if (share > 0) {
                seen++;
                assertThat(share).as(part.name()).isGreaterThan(1.5 * SAME);
            }
        }
        assertThat(seen).isEqualTo(11);
    }
}
