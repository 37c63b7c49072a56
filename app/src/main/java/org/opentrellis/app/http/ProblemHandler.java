package org.opentrellis.app.http;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;

/**
 * Turns failures into problem details (RFC 9457). Each has a stable {@code code}; where a field is
 * wrong, {@code problems} lists every one with its place as a JSON Pointer.
 */
@RestControllerAdvice
class ProblemHandler extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

  private final StorageWatch storage;

  ProblemHandler(StorageWatch storage) {
    this.storage = storage;
  }

  @ExceptionHandler
  ProblemDetail problems(ProblemsFound found) {
    return refusal(found.problems());
  }

  @ExceptionHandler
  ProblemDetail refused(Refused why) {
    return problems(ProblemsFound.refused("", why));
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFound missing) {
    return detail(HttpStatus.NOT_FOUND, "not-found", missing.getMessage());
  }

  @ExceptionHandler
  ProblemDetail saveLost(SaveLost lost) {
    ProblemDetail detail = detail(HttpStatus.CONFLICT, "save-lost", lost.getMessage());
    detail.setProperty("current", lost.current());
    detail.setProperty("yours", lost.yours());
    return detail;
  }

  /** Whoever follows an address that there is not gets the application's page, which says so. */
  @Override
  protected @Nullable ResponseEntity<Object> handleNoResourceFoundException(
      NoResourceFoundException missing,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (!asksForPage(request)) {
      return super.handleNoResourceFoundException(missing, headers, status, request);
    }
    return ResponseEntity.status(status)
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noCache())
        .body(new ClassPathResource("static/index.html"));
  }

  private static boolean asksForPage(WebRequest request) {
    String path = ((ServletWebRequest) request).getRequest().getRequestURI();
    String accept = request.getHeader(HttpHeaders.ACCEPT);
    return accept != null
        && accept.contains(MediaType.TEXT_HTML_VALUE)
        && !path.startsWith("/api/")
        && !path.startsWith("/assets/");
  }

  /** The browser has gone before it had its answer: nobody is there to tell. */
  @ExceptionHandler
  void gone(IOException disconnected) {
    LOG.debug("A client went away: {}", disconnected.getMessage());
  }

  /** The same while the answer was being written. */
  @Override
  protected @Nullable ResponseEntity<Object> handleHttpMessageNotWritable(
      HttpMessageNotWritableException unwritten,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (NestedExceptionUtils.getMostSpecificCause(unwritten) instanceof IOException disconnected) {
      gone(disconnected);
      return null;
    }
    return super.handleHttpMessageNotWritable(unwritten, headers, status, request);
  }

  @ExceptionHandler
  ProblemDetail nameTaken(NameTaken taken) {
    ProblemDetail detail = detail(HttpStatus.CONFLICT, "name-taken", taken.getMessage());
    detail.setProperty(
        "problems", List.of(new Problem("name-taken", taken.place(), taken.getMessage())));
    return detail;
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(Refusal refusal) {
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(refusal.status());
    if (refusal.retryAfter() != null) {
      answer.header(HttpHeaders.RETRY_AFTER, Long.toString(refusal.retryAfter().toSeconds()));
    }
    return answer.body(detail(refusal.status(), refusal.code(), refusal.getMessage()));
  }

  /** Either the disk is to blame, or we are. */
  @ExceptionHandler
  ProblemDetail unexpected(Exception failure, HttpMethod method) {
    if (BodyLimit.exceeded(failure)) {
      return BodyLimit.tooLarge();
    }
    Optional<StorageTrouble.Kind> trouble =
        method == HttpMethod.GET ? storage.failedReading(failure) : storage.failed(failure);
    return trouble.map(ProblemHandler::storageTrouble).orElseGet(() -> ourMistake(failure));
  }

  private static ProblemDetail storageTrouble(StorageTrouble.Kind kind) {
    HttpStatus status =
        kind == StorageTrouble.Kind.REOPENING
            ? HttpStatus.SERVICE_UNAVAILABLE
            : HttpStatus.INSUFFICIENT_STORAGE;
    return detail(status, kind.code(), kind.sentence());
  }

  private static ProblemDetail ourMistake(Throwable failure) {
    Incident incident = Incident.noted(failure);
    ProblemDetail detail =
        detail(HttpStatus.INTERNAL_SERVER_ERROR, "our-mistake", incident.sentence());
    detail.setProperty("incident", incident.number());
    return detail;
  }

  /** A value in the address that cannot be read: its name is the place. */
  @Override
  protected ResponseEntity<Object> handleTypeMismatch(
      TypeMismatchException wrong, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    String name =
        wrong instanceof MethodArgumentTypeMismatchException argument
            ? argument.getName()
            : String.valueOf(wrong.getPropertyName());
    Problem problem =
        new Problem(
            "bad-value",
            "/" + name,
            "\u201c%s\u201d cannot be read as \u201c%s\u201d."
                .formatted(shortened(String.valueOf(wrong.getValue())), name));
    return respond(refusal(List.of(problem)));
  }

  private static String shortened(String value) {
    return value.length() <= 60 ? value : value.substring(0, 60) + "\u2026";
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException unreadable,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (BodyLimit.exceeded(unreadable)) {
      return respond(BodyLimit.tooLarge());
    }
    Problem problem =
        unreadable.getCause() instanceof JacksonException json
            ? Json.problem(json)
            : new Problem("bad-json", "", "The request has no readable JSON body.");
    return respond(refusal(List.of(problem)));
  }

  /** What Spring itself refuses gets a code too. */
  @Override
  protected @Nullable ResponseEntity<Object> handleExceptionInternal(
      Exception refused,
      @Nullable Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    ResponseEntity<Object> answer =
        super.handleExceptionInternal(refused, body, headers, status, request);
    if (answer != null && answer.getBody() instanceof ProblemDetail detail) {
      detail.setProperty("code", code(status.value()));
    }
    return answer;
  }

  private static String code(int status) {
    return switch (status) {
      case 404 -> "not-found";
      case 405 -> "wrong-method";
      case 406 -> "not-in-that-form";
      case 415 -> "wrong-content-type";
      default -> "bad-request";
    };
  }

  private static ResponseEntity<Object> respond(ProblemDetail detail) {
    return ResponseEntity.status(detail.getStatus()).body(detail);
  }

  private static ProblemDetail refusal(List<Problem> problems) {
    String sentence = problems.get(0).sentence();
    String more = problems.size() == 1 ? "" : " (and %d more)".formatted(problems.size() - 1);
    ProblemDetail detail = detail(HttpStatus.BAD_REQUEST, problems.get(0).code(), sentence + more);
    detail.setProperty("problems", problems);
    return detail;
  }

  static ProblemDetail detail(HttpStatus status, String code, String sentence) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
    detail.setProperty("code", code);
    return detail;
  }
}
