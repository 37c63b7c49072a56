package org.opentrellis.app.letters;

import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class HtmlImportController {
  private final HtmlImports imports;

  HtmlImportController(HtmlImports imports) {
    this.imports = imports;
  }

  /** Says what an HTML mail comes to, and keeps it if that is ordered. */
  @PostMapping("/api/message-imports")
  HtmlImportView bringInHtmlMail(@RequestBody HtmlImportOrder order) {
    return imports.bringIn(order);
  }
}
