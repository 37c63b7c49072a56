package org.opentrellis.app.exchange;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ExchangeController {
  private final Exchange exchange;

  ExchangeController(Exchange exchange) {
    this.exchange = exchange;
  }

  @GetMapping(value = "/journeys/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> journeyFile(@PathVariable long id) {
    return attachment(
        exchange.file(id), exchange.fileName(id) + ".json", MediaType.APPLICATION_JSON);
  }

  @GetMapping(value = "/journeys/{id}/sheet", produces = MediaType.TEXT_MARKDOWN_VALUE)
  ResponseEntity<String> runSheetText(@PathVariable long id) {
    MediaType markdown =
        new MediaType(MediaType.TEXT_MARKDOWN, java.nio.charset.StandardCharsets.UTF_8);
    return attachment(exchange.markdown(id), exchange.fileName(id) + ".md", markdown);
  }

  /** Says what a journey file brings; keeps it only if that is ordered. */
  @PostMapping("/imports")
  ImportView importJourney(@RequestBody ImportOrder order) {
    return exchange.bringIn(order);
  }

  private static ResponseEntity<String> attachment(String body, String name, MediaType type) {
    ContentDisposition as =
        ContentDisposition.attachment()
            .filename(name, java.nio.charset.StandardCharsets.UTF_8)
            .build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, as.toString())
        .body(body);
  }
}
