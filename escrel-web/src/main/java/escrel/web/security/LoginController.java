package escrel.web.security;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that asks for the passphrase; only reached when listening beyond this machine. */
@Controller
class LoginController {
    @GetMapping("/login")
    String login() {
        return "login";
    }
}
