package org.opentrellis.app.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.context.request.WebRequest;

/** What is told of a fault of ours, and of the disk's. */
class ProblemHandlerTest {
  private final StorageWatch storage = mock(StorageWatch.class);
  private final ProblemHandler handler = new ProblemHandler(storage);

  @Test
  void aFaultOfOursHasANumberInTheAnswerAndInTheLogAndTellsNoMore() {
    when(storage.failed(any())).thenReturn(Optional.empty());
    ListAppender<ILoggingEvent> log = new ListAppender<>();
    log.start();
    Logger logger = (Logger) LoggerFactory.getLogger(Incident.class);
    logger.addAppender(log);
    ProblemDetail answer =
        handler.unexpected(new IllegalStateException("a secret of ours"), HttpMethod.PUT);
    logger.detachAppender(log);
    assertThat(answer.getStatus()).isEqualTo(500);
    String number = String.valueOf(answer.getProperties().get("incident"));
    assertThat(number).matches("[0-9a-f]{8}");
    assertThat(answer.getDetail()).contains(number).doesNotContain("secret");
    assertThat(log.list).hasSize(1);
    assertThat(log.list.get(0).getFormattedMessage()).contains(number);
    assertThat(log.list.get(0).getThrowableProxy().getMessage()).isEqualTo("a secret of ours");
  }

  @Test
  void aFullDiskIsNoFaultOfOursAndSaysWhatToDo() {
    when(storage.failed(any())).thenReturn(Optional.of(StorageTrouble.Kind.DISK_FULL));
    ProblemDetail answer = handler.unexpected(new IllegalStateException(), HttpMethod.PUT);
    assertThat(answer.getStatus()).isEqualTo(507);
    assertThat(answer.getProperties()).containsEntry("code", "disk-full");
    assertThat(answer.getDetail()).contains("Nothing was saved. Make room on it");
  }

  /** The browser was closed while it was being answered: nobody is to be woken by that. */
  @Test
  void whoGoesAwayWhileTheyAreAnsweredIsNoFault() {
    ListAppender<ILoggingEvent> log = new ListAppender<>();
    log.start();
    Logger all = (Logger) LoggerFactory.getLogger(ProblemHandler.class);
    all.addAppender(log);
    Object answer =
        handler.handleHttpMessageNotWritable(
            new HttpMessageNotWritableException("unwritten", new IOException("Broken pipe")),
            new HttpHeaders(),
            HttpStatus.INTERNAL_SERVER_ERROR,
            mock(WebRequest.class));
    all.detachAppender(log);
    assertThat(answer).isNull();
    assertThat(log.list).noneMatch(line -> line.getLevel().isGreaterOrEqual(Level.WARN));
  }
}
