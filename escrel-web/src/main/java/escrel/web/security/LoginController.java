package escrel.web.security;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page that asks for the passphrase; only reached when listening beyond this machine. */
@Controller
class LoginController {
    @GetMapping("/login")
    String login(
            @RequestParam(required = false) @Nullable String wrong,
            @RequestParam(required = false) @Nullable Integer wait,
            @RequestParam(required = false) @Nullable String out,
            @RequestParam(required = false) @Nullable String phone,
            Model model) {
        model.addAttribute("wrong", wrong != null);
        model.addAttribute("wait", wait);
        model.addAttribute("out", out != null);
        model.addAttribute("phone", phone);
        return "login";
    }
}
