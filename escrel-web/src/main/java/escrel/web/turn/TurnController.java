package escrel.web.turn;

import escrel.core.MendableException;
import escrel.core.timing.comparison.Repeatability;
import escrel.web.chart.TurnView;
import escrel.web.job.EarlierServices;
import escrel.web.job.JobHead;
import escrel.web.job.LaidDown;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.View;
import org.thymeleaf.spring6.view.ThymeleafView;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** Before and after. */
@Controller
class TurnController {
    /** Which figure is drawn large. */
    enum Figure {
        RATE,
        AMPLITUDE,
        BEAT_ERROR
    }

    private static final String SVG = "image/svg+xml;charset=UTF-8";

    private final Workshop workshop;
    private final EarlierServices earlier;
    private final LaidDown laid;
    private final Typeface typeface;
    private final ThymeleafViewResolver views;

    TurnController(
            Workshop workshop, EarlierServices earlier, LaidDown laid, Typeface typeface, ThymeleafViewResolver views) {
        this.earlier = earlier;
        this.laid = laid;
        this.views = views;
        this.workshop = workshop;
        this.typeface = typeface;
    }

    @GetMapping("/jobs/{number}/turn")
    String turn(
            @PathVariable int number,
            @RequestParam(defaultValue = "RATE") Figure figure,
            @RequestParam(required = false) @Nullable String before,
            @RequestParam(required = false) @Nullable String after,
            Model model) {
        OpenJob job = workshop.load(number);
        Repeatability hand = laid.repeatability();
        TurnSides sides = TurnSides.of(job, earlier.left(job), before, after);
        show(model, sides.view(job, hand), figure);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("sides", sides);
        model.addAttribute("line", TimeLine.of(job, hand));
        return "turn/turn";
    }

    /** The chart alone, for print: colours and typeface within. */
    @GetMapping("/jobs/{number}/turn.svg")
    View picture(
            @PathVariable int number,
            @RequestParam(defaultValue = "RATE") Figure figure,
            @RequestParam(required = false) @Nullable String before,
            @RequestParam(required = false) @Nullable String after,
            Model model,
            HttpServletResponse response)
            throws Exception {
        OpenJob job = workshop.load(number);
        TurnView view = TurnSides.of(job, earlier.left(job), before, after).view(job, laid.repeatability());
        if (view == null) {
            throw new MendableException(
                    "There is no before and after yet",
                    "Nothing was changed.",
                    "Take readings before the movement is opened, and after.");
        }
        show(model, view, figure);
        model.addAttribute("typeface", typeface.base64());
        model.addAttribute("title", job.arrival().watch() + ", job " + number);
        // its colours and typeface travel within the picture; nothing else may
        response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; font-src data:");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"job-" + number + "-turn.svg\"");
        ThymeleafView drawn = (ThymeleafView)
                Objects.requireNonNull(views.resolveViewName("turn/picture", Locale.ROOT), "its template is missing");
        drawn.setContentType(SVG);
        drawn.setForceContentType(true);
        return drawn;
    }

    private static void show(Model model, @Nullable TurnView view, Figure figure) {
        model.addAttribute("view", view);
        model.addAttribute("figure", figure.name());
        if (view != null) {
            model.addAttribute(
                    "chart",
                    switch (figure) {
                        case RATE -> view.rate();
                        case AMPLITUDE -> view.amplitude();
                        case BEAT_ERROR -> view.beatError();
                    });
        }
    }
}
