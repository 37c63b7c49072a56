package org.opentrellis.app.doors;

import com.github.benmanes.caffeine.cache.Ticker;
import jakarta.servlet.http.HttpServletRequest;
import org.opentrellis.app.http.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private final PasswordFile password;
  private final Keyholder keyholder;
  private final Attempts attempts = new Attempts(Ticker.systemTicker());

  SessionController(PasswordFile password, Keyholder keyholder) {
    this.password = password;
    this.keyholder = keyholder;
  }

  /**
   * @param passwordSet whether a password is asked for
   * @param in whether it has been said, or none is asked for
   */
  record SessionView(boolean passwordSet, boolean in) {}

  record SignIn(String password) {}

  @GetMapping
  SessionView getSession(HttpServletRequest request) {
    return new SessionView(password.isSet(), keyholder.isIn(request));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signIn(@RequestBody SignIn given, HttpServletRequest request) {
    switch (attempts.attempt(request.getRemoteAddr(), () -> password.isRight(given.password()))) {
      case RIGHT -> keyholder.letIn(request);
      case WRONG ->
          throw new Refusal(
              HttpStatus.FORBIDDEN, "wrong-password", "That is not the password.", null);
      case TOO_MANY ->
          throw new Refusal(
              HttpStatus.TOO_MANY_REQUESTS,
              "too-many-attempts",
              "Too many wrong passwords. Try again in %d minutes."
                  .formatted(Attempts.PAUSE.toMinutes()),
              Attempts.PAUSE);
    }
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    Keyholder.letOut(request);
  }
}
