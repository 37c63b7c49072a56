package org.opentrellis.app.people;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people/segments")
class SegmentController {
  private final SegmentKeeping segments;

  SegmentController(SegmentKeeping segments) {
    this.segments = segments;
  }

  /** All of them, with who is in them now. */
  @GetMapping
  List<SegmentLine> listPeopleSegments() {
    return segments.all();
  }

  /** Keeps whom a sentence means as a segment. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepSegment(@RequestBody NewSegment segment) {
    segments.keep(segment);
  }

  /** Makes it mean others. */
  @PutMapping("/{name}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changeSegment(@PathVariable String name, @RequestBody SegmentEdit edit) {
    segments.change(name, edit);
  }

  /** Deletes one that nothing uses. */
  @DeleteMapping("/{name}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteSegment(@PathVariable String name) {
    segments.delete(name);
  }
}
