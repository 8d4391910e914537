package escrel.web.storage;

import escrel.core.watchcase.CaseSheet;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The cases known here, by reference. A changed case becomes its next version; jobs keep the one they were done with. */
@Component
public class CaseSheets {
    private static final String OURS = "OURS";
    private static final String WAITING = "WAITING";
    /** Cases held in memory. */
    private static final int MOST_KEPT = 100;

    private final CaseSheetMapper mapper;
    private final Numbers numbers;
    private final Clock clock;
    private final Remembered<CaseSheet> read = new Remembered<>(MOST_KEPT);

    CaseSheets(CaseSheetMapper mapper, Numbers numbers, Clock clock) {
        this.mapper = mapper;
        this.numbers = numbers;
        this.clock = clock;
    }

    /** Keeps a case and returns its version; one equal to the latest is not kept twice. */
    @Transactional
    public int keep(CaseSheet sheet) {
        int latest = mapper.latestVersion(sheet.id());
        String text = CaseJson.write(sheet).toString();
        boolean same = latest > 0
                && mapper.find(sheet.id(), latest).filter(text::equals).isPresent();
        return same ? latest : insert(sheet, OURS);
    }

    /** Keeps a case that came with a job from elsewhere: its job uses it, others only when somebody accepts it. */
    @Transactional
    public int keepFromElsewhere(CaseSheet sheet) {
        String text = CaseJson.write(sheet).toString();
        return mapper.versions(sheet.id()).stream()
                .filter(v -> mapper.find(sheet.id(), v).filter(text::equals).isPresent())
                .findFirst()
                .orElseGet(() -> insert(sheet, WAITING));
    }

    private int insert(CaseSheet sheet, String standing) {
        int version = numbers.next(Numbers.watchcase(sheet.id()));
        mapper.insert(
                sheet.id(),
                version,
                sheet.name(),
                CaseJson.write(sheet).toString(),
                OffsetDateTime.now(clock),
                standing);
        return version;
    }

    /** A version of a case. */
    public Optional<CaseSheet> find(String id, int version) {
        return read.find(id, version, () -> mapper.find(id, version).map(CaseJson::read));
    }

    /** The newest version of a case. */
    public Optional<CaseSheet> latest(String id) {
        return find(id, mapper.latestVersion(id));
    }

    /** Number of the newest version, 0 for a case without a sheet. */
    public int latestVersion(String id) {
        return mapper.latestVersion(id);
    }

    /** The newest version of every case, by name. */
    public List<CaseSheetMapper.CaseRow> all() {
        return mapper.latest();
    }

    /** Cases that came with jobs from elsewhere and wait. */
    public List<CaseSheetMapper.CaseRow> waiting() {
        return mapper.waiting();
    }

    /** Makes a case from elsewhere one of ours. */
    @Transactional
    public int accept(String id, int version) {
        CaseSheet sheet = find(id, version)
                .orElseThrow(() -> new IllegalArgumentException("no version " + version + " of the case " + id));
        mapper.pass(id, version);
        return keep(sheet);
    }

    /** Puts a case from elsewhere away; its jobs keep it. */
    @Transactional
    public void putAway(String id, int version) {
        mapper.pass(id, version);
    }

    /**
     * The case a watch is in by what is written on it: of this maker, with a reference that stands among these words as a
     * word of its own; nothing where none or more than one does.
     */
    public Optional<CaseSheetMapper.CaseRow> byReference(String maker, String reference) {
        String said = " " + plain(reference) + " ";
        List<CaseSheetMapper.CaseRow> fitting = all().stream()
                .filter(row -> !maker.isBlank()
                        && plain(row.name()).startsWith(plain(maker) + " ")
                        && said.contains(
                                " " + plain(row.name()).substring(plain(maker).length() + 1) + " "))
                .toList();
        return fitting.size() == 1 ? Optional.of(fitting.get(0)) : Optional.empty();
    }

    private static String plain(String words) {
        return words.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
    }
}
