package org.opentrellis.app.people;

import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
@RequestMapping("/api/people")
class PeopleController {
  private final People people;
  private final PersonKeeping keeping;
  private final PeopleFiles files;
  private final Alike alike;

  PeopleController(People people, PersonKeeping keeping, PeopleFiles files, Alike alike) {
    this.people = people;
    this.keeping = keeping;
    this.files = files;
    this.alike = alike;
  }

  @GetMapping
  PeoplePage findPeople(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "NAME") PeopleOrder order,
      @RequestParam(required = false) @Nullable Long after) {
    return people.find(new PeopleAsked(find, "", order, after));
  }

  /** The same where something is looked for in names and addresses, which never stand in a URL. */
  @PostMapping("/pages")
  PeoplePage searchPeople(@RequestBody PeopleAsked asked) {
    return people.find(asked);
  }

  @PostMapping
  PersonView addPerson(@RequestBody NewPerson person) {
    return keeping.add(person);
  }

  @GetMapping("/{id}")
  PersonView getPerson(@PathVariable long id) {
    return people.view(id);
  }

  @PutMapping("/{id}")
  PersonView changePerson(@PathVariable long id, @RequestBody PersonEdit edit) {
    return keeping.change(id, edit);
  }

  /** Everything that is known of them. */
  @GetMapping("/{id}/file")
  ResponseEntity<PersonFile> getPersonFile(@PathVariable long id) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"person-%d.json\"".formatted(id))
        .body(files.all(id));
  }

  /** Forgets them for good. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forgetPerson(@PathVariable long id) {
    keeping.forget(id);
  }

  /** Those who are meant as a table. */
  @PostMapping(path = "/tables", produces = "text/csv")
  ResponseEntity<StreamingResponseBody> writePeople(@RequestBody Whom whom) {
    PeopleFiles.Selection selection = files.select(whom);
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .body(
            out -> {
              try (OutputStreamWriter text = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
                files.write(selection, text);
              }
            });
  }

  /** Keeps a cohort for dry runs that is like those who are meant. */
  @PostMapping("/cohorts")
  LikeThem keepCohortLikeThem(@RequestBody LikeThemOrder order) {
    return alike.keep(order);
  }

  /** What was chosen part by part, as a sentence. */
  @PostMapping("/sentences")
  SaidWho sayWho(@RequestBody ChosenWho chosen) {
    return people.say(chosen);
  }

  @PostMapping("/readings")
  WhoView readWho(@RequestBody TypedWho typed) {
    return people.read(typed);
  }
}
