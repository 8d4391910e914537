package escrel.web.washing;

import escrel.core.cleaning.ProgrammeKept;
import escrel.core.clock.Timed.Stretch;
import java.util.ArrayList;
import java.util.List;

/** A programme of the machine as lines of text: what happens, minutes, and the jar where there is one. */
final class Programmes {
    private Programmes() {}

    static String text(ProgrammeKept programme) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < programme.stretches().size(); i++) {
            Stretch stretch = programme.stretches().get(i);
            String jar = programme.jars().get(i);
            lines.add(stretch.words() + "; " + minutes(stretch.seconds()) + (jar.isEmpty() ? "" : "; " + jar));
        }
        return String.join("\n", lines);
    }

    private static String minutes(int seconds) {
        return seconds % 60 == 0 ? String.valueOf(seconds / 60) : String.valueOf(seconds / 60.0);
    }

    /**
     * Reads it.
     *
     * @throws IllegalArgumentException in words when it is no programme
     */
    static ProgrammeKept of(String name, String text, String changeAfter) {
        List<Stretch> stretches = new ArrayList<>();
        List<String> jars = new ArrayList<>();
        int number = 0;
        for (String line : text.split("\\R")) {
            number++;
            if (line.isBlank()) {
                continue;
            }
            String[] cells = line.split(";", -1);
            String minutes = cells.length > 1 ? cells[1].strip().replace(',', '.') : "";
            if (cells.length > 3 || !minutes.matches("\\d{1,4}(\\.\\d{1,2})?")) {
                throw new IllegalArgumentException("Line " + number + " wants what happens, minutes and the jar");
            }
            stretches.add(new Stretch(cells[0], (int) Math.round(60 * Double.parseDouble(minutes))));
            jars.add(cells.length > 2 ? cells[2].strip() : "");
        }
        if (!changeAfter.strip().matches("\\d{1,4}")) {
            throw new IllegalArgumentException("After which soil a jar is changed is a whole number");
        }
        return new ProgrammeKept(name, stretches, jars, Integer.parseInt(changeAfter.strip()));
    }
}
