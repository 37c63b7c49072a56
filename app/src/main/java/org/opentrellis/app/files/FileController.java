package org.opentrellis.app.files;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/files")
class FileController {
  private final KeptFiles files;

  FileController(KeptFiles files) {
    this.files = files;
  }

  @GetMapping
  List<KeptFileView> listFiles() {
    return files.all();
  }

  @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  KeptFileView addFile(@RequestParam String name, @RequestBody byte[] content) {
    return files.add(name, content);
  }

  @PutMapping(path = "/{name}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  KeptFileView replaceFile(@PathVariable String name, @RequestBody byte[] content) {
    return files.replace(name, content);
  }
}
