package wake.api.security;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.units.Messages;

/** Where the passphrase is asked for, when Wake is opened to a network. */
@RestController
@io.swagger.v3.oas.annotations.Hidden
class LoginPage {
    private static final String PAGE = """
            <!doctype html>
            <html lang="en">
            <head>
            <meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Enter · Wake</title>
            <style>
            body { font: 16px/1.5 system-ui, sans-serif; background: #f7f5f0; color: #15242c; margin: 0; display: grid; place-items: center; min-height: 100vh }
            form { display: grid; gap: 12px; width: min(320px, 90vw) }
            h1 { font-size: 22px; margin: 0 } p { margin: 0; color: #44545c }
            input, button { font: inherit; padding: 10px 12px; border-radius: 6px; border: 1px solid #8a9499 }
            button { background: #15242c; color: #fff } .wrong { color: #a03826 }
            </style>
            </head>
            <body>
            <main>
            <form method="post" action="/enter">
            <h1>Wake</h1>
            <input type="hidden" name="who" value="coach">
            <label for="passphrase">The gym’s passphrase</label>
            <input id="passphrase" name="passphrase" type="password" autocomplete="current-password" required autofocus>
            %s
            <button>Enter</button>
            <p>What goes over this network is not encrypted: whoever shares it can read along.</p>
            </form>
            </main>
            </body>
            </html>
            """;

    @GetMapping(Security.ENTER)
    ResponseEntity<String> enter(HttpServletRequest request) {
        boolean wrong = request.getParameter("wrong") != null;
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_HTML, java.nio.charset.StandardCharsets.UTF_8))
                .cacheControl(CacheControl.noStore())
                .body(Messages.of(
                        PAGE, wrong ? "<p class=\"wrong\" role=\"alert\">That is not the passphrase.</p>" : ""));
    }
}
