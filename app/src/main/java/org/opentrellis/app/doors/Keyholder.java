package org.opentrellis.app.doors;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;

/**
 * Decides whether somebody is in. Without a password everybody is (and the application listens to
 * this machine only); with one, whoever has said it in this session, and whoever can read the data
 * folder: the commands of {@code ./trellis} show the key that lies there.
 */
@Component
class Keyholder implements AuthorizationManager<RequestAuthorizationContext> {
  /** The hash of the password that was said; a later password makes it void. */
  private static final String SAID = "org.opentrellis.password";

  private final PasswordFile password;
  private final RunningNote note;

  Keyholder(PasswordFile password, RunningNote note) {
    this.password = password;
    this.note = note;
  }

  @Override
  public AuthorizationDecision authorize(
      Supplier<? extends @Nullable Authentication> nobody, RequestAuthorizationContext context) {
    return new AuthorizationDecision(isIn(context.getRequest()));
  }

  boolean isIn(HttpServletRequest request) {
    Optional<String> hash = password.hash();
    return hash.isEmpty()
        || hash.get().equals(said(request.getSession(false)))
        || note.isKey(bearer(request));
  }

  private static @Nullable Object said(@Nullable HttpSession session) {
    return session == null ? null : session.getAttribute(SAID);
  }

  private static String bearer(HttpServletRequest request) {
    String said = request.getHeader(HttpHeaders.AUTHORIZATION);
    return said != null && said.startsWith("Bearer ") ? said.substring("Bearer ".length()) : "";
  }

  /** Lets in whoever has said the right password, in a session with a new name. */
  void letIn(HttpServletRequest request) {
    request.getSession(true);
    request.changeSessionId();
    request.getSession().setAttribute(SAID, password.hash().orElse(""));
  }

  static void letOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }

  /** In a time that does not depend on where they differ. */
  static boolean same(String one, String other) {
    return MessageDigest.isEqual(
        one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
  }
}
