package escrel.web.handover;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import escrel.core.service.PhotoMarked;
import escrel.web.format.Show;
import escrel.web.format.Texts;
import escrel.web.job.LaidDown;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.photos.MarkedPictures;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** The report for the owner, as a page for print and as PDF. */
@Controller
class ReportController {
    static {
        XRLog.setLoggerImpl(new Slf4jLogger());
    }

    private final Workshop workshop;
    private final MarkedPictures pictures;
    private final SpringTemplateEngine templates;
    private final Show show;
    private final LaidDown laid;

    ReportController(
            Workshop workshop, MarkedPictures pictures, SpringTemplateEngine templates, Show show, LaidDown laid) {
        this.laid = laid;
        this.workshop = workshop;
        this.pictures = pictures;
        this.templates = templates;
        this.show = show;
    }

    @GetMapping("/jobs/{number}/report")
    String page(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("report", ReportView.of(job, show.day(job.openedAt()), laid.repeatability()));
        return "handover/report";
    }

    @GetMapping("/jobs/{number}/report.pdf")
    @Transactional(readOnly = true)
    public ResponseEntity<byte[]> pdf(@PathVariable int number) {
        OpenJob job = workshop.load(number);
        ReportView report = ReportView.of(job, show.day(job.openedAt()), laid.repeatability());
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("report", report);
        context.setVariable("show", show);
        context.setVariable("pictures", pictures(job, report));
        context.setVariable(
                "pairs",
                report.pairs().stream()
                        .map(p -> new PairTold(
                                address(number, p.before()),
                                address(number, p.after()),
                                p.words().isEmpty() ? "then and now" : p.words()))
                        .toList());
        String html = templates.process("handover/report-pdf", context);
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.APPLICATION_PDF);
        headers.setContentDisposition(ContentDisposition.inline()
                .filename("escrel-report-" + number + ".pdf")
                .build());
        return new ResponseEntity<>(render(html), headers, 200);
    }

    /** Two pictures beside each other, each as an address with its bytes in it. */
    record PairTold(String before, String after, String words) {}

    private Map<String, String> pictures(OpenJob job, ReportView report) {
        Map<String, String> told = new LinkedHashMap<>();
        report.photos()
                .forEach(p -> pictures.small(job.number(), p.photo(), PhotoMarked.on(job.history(), p.photo()))
                        .ifPresent(bytes -> told.put(address(bytes), p.caption())));
        return told;
    }

    /** A small picture with its bytes in its address; empty when it is gone. */
    private String address(int number, int photo) {
        return pictures.small(number, photo, List.of())
                .map(ReportController::address)
                .orElse("");
    }

    private static String address(byte[] jpeg) {
        return "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg);
    }

    private static byte[] render(String html) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.useSVGDrawer(new BatikSVGDrawer());
        font(builder, "AtkinsonHyperlegibleNext_400Regular.ttf", 400);
        font(builder, "AtkinsonHyperlegibleNext_700Bold.ttf", 700);
        // what is kept since is clean; what older versions kept may not be
        builder.withHtmlContent(Texts.cleaned(html), "classpath:/");
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, int weight) {
        builder.useFont(
                () -> {
                    try {
                        return new ClassPathResource("fonts/" + file).getInputStream();
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                },
                "Atkinson Hyperlegible Next",
                weight,
                FontStyle.NORMAL,
                true);
    }
}
