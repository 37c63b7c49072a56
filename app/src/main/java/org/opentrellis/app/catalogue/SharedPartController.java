package org.opentrellis.app.catalogue;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api")
class SharedPartController {
  private final Catalogues catalogues;

  SharedPartController(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  @GetMapping("/strands")
  @ApiResponse(
      responseCode = "200",
      content = @Content(array = @ArraySchema(schema = @Schema(ref = Schemas.STRAND))))
  List<JsonNode> listStrands() {
    return catalogues.documents(SharedPartRow.STRAND);
  }

  @AgainIfTaken
  @PutMapping("/strands/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void saveStrand(
      @PathVariable String id, @RequestBody @Schema(ref = Schemas.STRAND) JsonNode document) {
    Strand strand = Documents.readStrand(document);
    Catalogues.requireSame(id, strand.id().value(), "/id");
    catalogues.keep(strand);
  }

  @GetMapping("/segments")
  @ApiResponse(
      responseCode = "200",
      content = @Content(array = @ArraySchema(schema = @Schema(ref = Schemas.SEGMENT))))
  List<JsonNode> listSegments() {
    return catalogues.documents(SharedPartRow.SEGMENT);
  }

  @AgainIfTaken
  @PutMapping("/segments/{name}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void saveSegment(
      @PathVariable String name, @RequestBody @Schema(ref = Schemas.SEGMENT) JsonNode document) {
    Segment segment = Documents.readSegment(document);
    Catalogues.requireSame(name, segment.name().value(), "/name");
    catalogues.keep(segment);
  }
}
