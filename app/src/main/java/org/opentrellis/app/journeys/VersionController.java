package org.opentrellis.app.journeys;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys/{id}/versions")
class VersionController {
  private final Versions versions;

  VersionController(Versions versions) {
    this.versions = versions;
  }

  @GetMapping
  List<VersionView> listVersions(@PathVariable long id) {
    return versions.all(id);
  }

  @GetMapping("/{version}")
  VersionView.WholeVersion getVersion(@PathVariable long id, @PathVariable int version) {
    return versions.find(id, version);
  }

  @PutMapping("/{version}/name")
  List<VersionView> nameVersion(
      @PathVariable long id,
      @PathVariable int version,
      @RequestBody VersionView.VersionNaming naming) {
    versions.rename(id, version, naming.name());
    return versions.all(id);
  }
}
