package org.opentrellis.app.names;

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
@RequestMapping("/api/names")
class NameController {
  private final Naming naming;

  NameController(Naming naming) {
    this.naming = naming;
  }

  @GetMapping
  List<NameView> listRegisteredNames() {
    return naming.all();
  }

  @PostMapping
  NameView makeName(@RequestBody NameEdit name) {
    return naming.make(name);
  }

  /** Another name takes the place of the one before everywhere. */
  @PutMapping("/{id}")
  NameView changeName(@PathVariable long id, @RequestBody NameEdit name) {
    return naming.change(id, name);
  }

  /** Makes one tag of two. */
  @PostMapping("/{id}/merges")
  NameView mergeName(@PathVariable long id, @RequestBody NameMerge merge) {
    return naming.merge(id, merge.into());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteName(@PathVariable long id) {
    naming.delete(id);
  }
}
