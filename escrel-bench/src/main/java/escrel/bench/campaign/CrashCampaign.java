package escrel.bench.campaign;

import escrel.web.ground.Ground;
import escrel.web.ground.GroundException;
import escrel.web.ground.Home;
import escrel.web.ground.Opening;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/**
 * {@code ./escrel bench crash N}: every write and sync of a process that records acts is watched (strace); N times the power
 * fails at a random moment, and one of the disks there may then be is laid out, writes that were not synced missing whole or
 * by pages. Each must open and hold every act acknowledged before that moment, whole, with its medium.
 */
public final class CrashCampaign {
    private static final int ACTS = 150;

    private CrashCampaign() {}

    /**
     * Runs it.
     *
     * @param args number of disks, seed
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        int wanted = Integer.parseInt(args[0]);
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        Path work = Files.createTempDirectory("escrel-crash-");
        Path folder = work.resolve("folder");
        List<Trace.Event> events = watched(work, folder, seed);
        System.out.println(events.size() + " writes, syncs and namings watched");
        Random random = new Random(seed);
        int opened = 0;
        int lost = 0;
        int halves = 0;
        for (int i = 0; i < wanted; i++) {
            int until = random.nextInt(events.size() + 1);
            Disc disc = new Disc();
            int acknowledged = 0;
            for (Trace.Event event : events.subList(0, until)) {
                event.on(disc);
                acknowledged = Math.max(acknowledged, event.acknowledges());
            }
            Path image = work.resolve("image");
            disc.layOut(folder.toString(), image, random, i % 2 == 0);
            Files.createDirectories(image);
            try {
                Found found = look(image);
                opened++;
                lost += Math.max(0, acknowledged - found.acts());
                halves += found.halves();
                if (found.acts() < acknowledged || found.halves() > 0) {
                    System.out.printf("disk %d: %d acts acknowledged, %s%n", i, acknowledged, found);
                }
            } catch (GroundException | SQLException e) {
                System.out.printf("disk %d (%d acknowledged) does not open: %s%n", i, acknowledged, e.getMessage());
                Path kept = work.resolve("image-" + i);
                Files.move(image, kept);
            }
            delete(image);
        }
        System.out.printf(
                "%d of %d disks opened; %d acknowledged acts lost, %d acts by halves (seed %d)%n",
                opened, wanted, lost, halves, seed);
        System.exit(opened == wanted && lost == 0 && halves == 0 ? 0 : 1);
    }

    private static List<Trace.Event> watched(Path work, Path folder, long seed)
            throws IOException, InterruptedException {
        Path trace = work.resolve("trace");
        Process process = new ProcessBuilder(
                        "strace",
                        "-f",
                        "-y",
                        "-xx",
                        "-s",
                        "20000000",
                        "-e",
                        "trace=openat,write,pwrite64,ftruncate,lseek,fsync,fdatasync,rename,renameat,renameat2,unlink,unlinkat",
                        "-o",
                        trace.toString(),
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        CrashDriver.class.getName(),
                        folder.toString(),
                        String.valueOf(ACTS),
                        String.valueOf(seed))
                .redirectErrorStream(true)
                .redirectOutput(work.resolve("said").toFile())
                .start();
        if (process.waitFor() != 0) {
            throw new IOException("the acts were not recorded:\n" + Files.readString(work.resolve("said")));
        }
        return Trace.read(trace);
    }

    /** What a disk holds: acts from the first one on without a gap, and how many of all are there by half. */
    private record Found(int acts, int halves) {}

    private static Found look(Path image) throws SQLException, IOException {
        Ground ground = Opening.open(new Home(image), Opening.Kind.REAL, 0);
        try (Connection connection = DriverManager.getConnection(ground.url(), "sa", "");
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("""
                        select number / 2, count(*), min(body) from sheet_document group by number / 2 order by 1""")) {
            MediaStore media = new MediaStore(image.resolve("media"));
            int acts = 0;
            int halves = 0;
            while (rows.next()) {
                boolean whole = rows.getInt(2) == 2 && media.isWhole(rows.getString(3));
                halves += whole ? 0 : 1;
                acts += whole && rows.getInt(1) == acts + 1 ? 1 : 0;
            }
            return new Found(acts, halves);
        } finally {
            ground.close();
        }
    }

    private static void delete(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }
}
