package org.opentrellis.app.catalogue;

import java.util.List;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class SharedPartController {
  private final Catalogues catalogues;

  SharedPartController(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  @GetMapping("/strands")
  List<StrandView> listStrands() {
    return catalogues.strands();
  }

  @GetMapping("/strands/{id}/versions")
  List<StrandView> listStrandVersions(@PathVariable String id) {
    return catalogues.strandVersions(id);
  }

  /** Keeps a new strand; the version must be null. */
  @AgainIfTaken
  @PostMapping("/strands")
  @ResponseStatus(HttpStatus.CREATED)
  StrandView addStrand(@RequestBody StrandSave save) {
    return catalogues.save(Documents.readStrand(save.document()), save);
  }

  @AgainIfTaken
  @PutMapping("/strands/{id}")
  StrandView saveStrand(@PathVariable String id, @RequestBody StrandSave save) {
    Strand strand = Documents.readStrand(save.document());
    Catalogues.requireSame(id, strand.id().value(), "/document/id");
    return catalogues.save(strand, save);
  }

  @GetMapping("/segments")
  List<SegmentView> listSegments() {
    return catalogues.segments();
  }

  @GetMapping("/segments/{name}/versions")
  List<SegmentView> listSegmentVersions(@PathVariable String name) {
    return catalogues.segmentVersions(name);
  }

  /** Keeps a new segment; the version must be null. */
  @AgainIfTaken
  @PostMapping("/segments")
  @ResponseStatus(HttpStatus.CREATED)
  SegmentView addSegment(@RequestBody SegmentSave save) {
    return catalogues.save(Documents.readSegment(save.document()), save);
  }

  @AgainIfTaken
  @PutMapping("/segments/{name}")
  SegmentView saveSegment(@PathVariable String name, @RequestBody SegmentSave save) {
    Segment segment = Documents.readSegment(save.document());
    Catalogues.requireSame(name, segment.name().value(), "/document/name");
    return catalogues.save(segment, save);
  }
}
