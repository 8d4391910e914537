package escrel.web.storage;

import escrel.core.calibre.CalibreSheet;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The calibre library. A new sheet of a known calibre becomes its next version; jobs keep the one they were done with. */
@Component
public class Sheets {
    /** Sheets held in memory: a workshop that takes many in does not hold them all. */
    private static final int MOST_KEPT = 100;

    private final SheetMapper mapper;
    private final Numbers numbers;
    private final Clock clock;
    private final Remembered<CalibreSheet> read = new Remembered<>(MOST_KEPT);

    Sheets(SheetMapper mapper, Numbers numbers, Clock clock) {
        this.mapper = mapper;
        this.numbers = numbers;
        this.clock = clock;
    }

    /** Keeps a sheet and returns its version; one equal to the latest version is not kept twice. */
    @Transactional
    public int keep(CalibreSheet sheet) {
        int latest = mapper.latestVersion(sheet.id());
        String text = SheetJson.write(sheet).toString();
        if (latest > 0 && mapper.find(sheet.id(), latest).filter(text::equals).isPresent()) {
            return latest;
        }
        int version = numbers.next(Numbers.sheet(sheet.id()));
        mapper.insert(sheet.id(), version, sheet.name(), text, OffsetDateTime.now(clock));
        return version;
    }

    /** A version of a sheet. Versions never change, so each is read once. */
    public Optional<CalibreSheet> find(String calibre, int version) {
        return read.find(calibre, version, () -> mapper.find(calibre, version).map(SheetJson::read));
    }

    /** The version that is this very sheet, if it is kept. */
    public Optional<Integer> versionOf(CalibreSheet sheet) {
        String text = SheetJson.write(sheet).toString();
        return mapper.versions(sheet.id()).stream()
                .filter(v -> mapper.find(sheet.id(), v).filter(text::equals).isPresent())
                .findFirst();
    }

    /**
     * Keeps a sheet that came with a job from elsewhere and returns its version: that job uses it; it does not become the
     * sheet of the calibre here until somebody accepts it.
     */
    @Transactional
    public int keepFromElsewhere(CalibreSheet sheet) {
        int version = numbers.next(Numbers.sheet(sheet.id()));
        mapper.insertWaiting(
                sheet.id(), version, sheet.name(), SheetJson.write(sheet).toString(), OffsetDateTime.now(clock));
        return version;
    }

    /** Sheets that came with jobs from elsewhere and stand so. */
    public List<SheetMapper.SheetRow> standing(SheetMapper.Standing standing) {
        return mapper.standing(standing);
    }

    /** Every version of a sheet and how it stands, newest first. */
    public List<SheetMapper.VersionRow> history(String calibre) {
        return mapper.history(calibre);
    }

    /** Puts a sheet from elsewhere away: its jobs keep it, and it can still be looked at and accepted. */
    @Transactional
    public void putAway(String calibre, int version) {
        mapper.stand(calibre, version, SheetMapper.Standing.PUT_AWAY);
    }

    /** Makes a version the newest of its calibre: one from elsewhere, or an earlier one of the workshop's own. */
    @Transactional
    public int accept(String calibre, int version) {
        CalibreSheet sheet = find(calibre, version)
                .orElseThrow(() -> new IllegalArgumentException("no version " + version + " of " + calibre));
        mapper.stand(calibre, version, SheetMapper.Standing.PASSED);
        int kept = numbers.next(Numbers.sheet(calibre));
        mapper.insert(calibre, kept, sheet.name(), SheetJson.write(sheet).toString(), OffsetDateTime.now(clock));
        return kept;
    }

    /** The newest version of a sheet. */
    public Optional<CalibreSheet> latest(String calibre) {
        return find(calibre, mapper.latestVersion(calibre));
    }

    /** Number of the newest version, 0 for a calibre without a sheet. */
    public int latestVersion(String calibre) {
        return mapper.latestVersion(calibre);
    }

    /** The newest version of every sheet, by name. */
    public List<SheetMapper.SheetRow> all() {
        return mapper.latest();
    }
}
