package org.opentrellis.app.intake;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import org.opentrellis.app.people.ActView;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
@RequestMapping("/api/people-tables")
class TableController {
  private final Tables tables;

  TableController(Tables tables) {
    this.tables = tables;
  }

  /** The body is the table itself, as it was written. */
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")),
      required = true)
  @PostMapping(consumes = "text/csv")
  TableView handInTable(@RequestParam String name, InputStream table) throws IOException {
    return tables.handIn(name, table.readAllBytes());
  }

  @GetMapping("/{id}")
  TableView getTable(@PathVariable long id) {
    return tables.view(id);
  }

  @PutMapping("/{id}/form")
  TableView setTableForm(@PathVariable long id, @RequestBody TableFormOrder form) {
    return tables.read(id, form);
  }

  /** Says what would happen; nothing is done. */
  @PostMapping("/{id}/checks")
  CheckView checkTable(@PathVariable long id, @RequestBody TableOrder order) {
    return tables.check(id, order);
  }

  @PostMapping("/{id}/acts")
  ActView bringTableIn(@PathVariable long id, @RequestBody TableOrder order) {
    return tables.begin(id, order);
  }

  /** The rows that an import did not take. */
  @GetMapping("/of-act/{act}/refused.csv")
  ResponseEntity<StreamingResponseBody> refusedRows(@PathVariable long act) {
    tables.requireAct(act);
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("refused-rows.csv").build().toString())
        .body(
            out -> {
              try (OutputStreamWriter text = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
                tables.writeRefused(act, text);
              }
            });
  }
}
