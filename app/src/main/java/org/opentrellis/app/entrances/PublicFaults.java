package org.opentrellis.app.entrances;

import org.opentrellis.app.http.Incident;
import org.opentrellis.app.storage.StorageTrouble;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** What the public sees when something goes wrong: a page, and nothing of what is behind it. */
@RestControllerAdvice(assignableTypes = {DoorController.class, ChoicesController.class})
@Order(Ordered.HIGHEST_PRECEDENCE)
class PublicFaults {
  private final EntrancePages pages;

  PublicFaults(EntrancePages pages) {
    this.pages = pages;
  }

  @ExceptionHandler
  ResponseEntity<String> answer(Exception failure) {
    if (failure instanceof ErrorResponse asked && asked.getStatusCode().is4xxClientError()) {
      return PublicAnswer.of(
          HttpStatus.valueOf(asked.getStatusCode().value()),
          pages.words("That did not work", "This cannot be read. Please go back and try again."));
    }
    boolean trouble = StorageTrouble.in(failure).isPresent();
    if (!trouble) {
      Incident.noted(failure);
    }
    return PublicAnswer.of(
        trouble ? HttpStatus.SERVICE_UNAVAILABLE : HttpStatus.INTERNAL_SERVER_ERROR,
        pages.words(
            "That did not work",
            "Something went wrong on our side, and nothing was kept of what you sent. Please try again in a while."));
  }
}
