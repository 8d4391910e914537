package escrel.web.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Folders that earlier versions left, kept as files. */
public final class KeptFolder {
    private KeptFolder() {}

    /** A folder of its own with what a version kept: {@code v6}, {@code v7}, {@code v8}. */
    public static Path of(String version) {
        Path folder = EscrelServer.folder();
        try (ZipInputStream in =
                new ZipInputStream(Files.newInputStream(Path.of("src/test/resources/versions/" + version + ".zip")))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                Path file = folder.resolve(entry.getName()).normalize();
                if (entry.isDirectory()) {
                    Files.createDirectories(file);
                } else {
                    Files.createDirectories(file.getParent());
                    Files.copy(in, file);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return folder;
    }
}
