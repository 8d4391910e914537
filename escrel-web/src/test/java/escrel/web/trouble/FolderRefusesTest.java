package escrel.web.trouble;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A folder that refuses is said in words; nothing is recorded, and it goes on when the folder takes files again. */
class FolderRefusesTest {
    @Test
    void photoThatCannotBeWrittenIsSaidInWordsAndTakenOnceTheFolderIsRight() throws IOException {
        Path home = EscrelServer.folder();
        try (EscrelServer server = EscrelServer.on(home)) {
            Visitor visitor = new Visitor(server.url());
            int job = visitor.openJob("Folder watch", "");
            int before = visitor.sequence(job);
            Path arriving = Files.createDirectories(home.resolve("media")).resolve("arriving");
            Files.deleteIfExists(arriving);
            Files.createFile(arriving);

            HttpResponse<String> answer = photo(visitor, job);

            assertThat(answer.statusCode()).isEqualTo(507);
            assertThat(answer.body())
                    .contains("Nothing can be recorded: the folder of Escrel refuses", "this one was not recorded")
                    .doesNotContain("Exception", arriving.toString());
            assertThat(visitor.sequence(job)).isEqualTo(before);
            assertThat(visitor.get("/jobs/" + job + "/film").statusCode()).isEqualTo(200);

            Files.delete(arriving);
            assertThat(photo(visitor, job).statusCode()).isEqualTo(200);
        }
    }

    private static HttpResponse<String> photo(Visitor visitor, int job) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "png", out);
        return visitor.upload(
                "/jobs/" + job + "/photos",
                Map.of("seq", visitor.sequence(job), "caption", "as it came"),
                "picture",
                "p.png",
                out.toByteArray());
    }
}
