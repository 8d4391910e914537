package escrel.web.photos;

import escrel.web.storage.PhotoMapper;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Serves pictures. They never change, so a browser may keep them. */
@Controller
class PhotoController {
    private final PhotoMapper mapper;

    PhotoController(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    @GetMapping("/jobs/{job}/photos/{number}")
    ResponseEntity<byte[]> picture(@PathVariable int job, @PathVariable int number) {
        ResponseEntity<byte[]> picture = serve(mapper.find(job, number));
        // while it is being scaled the small copy stands in, and must not be remembered
        return mapper.raw(job, number).isEmpty()
                ? picture
                : ResponseEntity.status(picture.getStatusCode())
                        .contentType(MediaType.IMAGE_JPEG)
                        .cacheControl(CacheControl.noStore())
                        .body(picture.getBody());
    }

    @GetMapping("/jobs/{job}/photos/{number}/full")
    ResponseEntity<byte[]> full(@PathVariable int job, @PathVariable int number) {
        return serve(mapper.findFull(job, number).or(() -> mapper.find(job, number)));
    }

    @GetMapping("/jobs/{job}/photos/{number}/small")
    ResponseEntity<byte[]> small(@PathVariable int job, @PathVariable int number) {
        return serve(mapper.findSmall(job, number));
    }

    private static ResponseEntity<byte[]> serve(Optional<PhotoMapper.Picture> picture) {
        return picture.map(p -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(p.mediaType()))
                        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                        .body(p.bytes()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
