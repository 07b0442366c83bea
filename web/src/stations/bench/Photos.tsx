import { useQuery } from "@tanstack/react-query";
import { useRef } from "react";

import { client, MOST, reason, seeSize, take, type BenchStep } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { photoQuery } from "../../state/queries";
import { lastThrown } from "../../state/thrown";
import { Button } from "../../ui/button";

/** Sends a photo at a step, or keeps it until the server answers. */
export type OnPhoto = (step: string, places: readonly string[], file: File) => Promise<void>;

/** Takes a photo at a step: it comes back at every step that plugs one of its places again. */
export function AddPhoto({
  step,
  of,
  places,
  onPhoto,
  say,
}: {
  step: string;
  /** What is photographed, where there are several to choose from. */
  of: string;
  places: readonly string[];
  onPhoto: OnPhoto;
  say: (text: string) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const send = async (file: File) => {
    try {
      seeSize(file, MOST.photo);
      await onPhoto(step, places, file);
    } catch (error) {
      say(reason(error));
    }
  };
  return (
    <>
      <Button className="min-h-12 text-lg" onClick={() => input.current?.click()}>
        {of ? `Photo: ${of}` : "Add a photo"}
      </Button>
      <input
        ref={input}
        type="file"
        aria-label={of ? `Photo of ${of}` : "Photo"}
        accept="image/jpeg,image/png,image/webp"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void send(file);
          e.target.value = "";
        }}
      />
    </>
  );
}

/** The photos at a step. */
export function Photos({
  step: s,
  onPhotos,
  say,
}: {
  step: BenchStep;
  onPhotos: () => void;
  say: (text: string) => void;
}) {
  const { key } = useBuild();
  const away = async (photo: string) => {
    try {
      await take(client.DELETE("/api/v1/builds/{key}/photos/{photo}", { params: { path: { key, photo } } }));
      onPhotos();
      lastThrown.was({ words: `The photo at ${s.step.title}`, back: () => back(photo) });
    } catch (error) {
      say(reason(error));
    }
  };
  const back = async (photo: string) => {
    try {
      await take(
        client.POST("/api/v1/builds/{key}/bin/photos/{photo}", { params: { path: { key, photo } } }),
      );
      onPhotos();
    } catch (error) {
      say(reason(error));
    }
  };
  if (!s.photos.length) return null;
  return (
    <ul className="mt-3 flex flex-wrap gap-3">
      {s.photos.map((p, i) => (
        <li key={p} className="grid gap-1">
          <a href={`/api/v1/builds/${key}/photos/${p}`} target="_blank" rel="noreferrer">
            <Picture photo={p} alt={`Photo ${i + 1} at ${s.step.title}`} />
          </a>
          <Button look="quiet" className="text-sm" onClick={() => void away(p)}>
            Throw away<span className="sr-only"> photo {i + 1}</span>
          </Button>
        </li>
      ))}
    </ul>
  );
}

function Picture({ photo, alt }: { photo: string; alt: string }) {
  const { key } = useBuild();
  const { data } = useQuery(photoQuery(key, photo));
  return data ? <img src={data} alt={alt} className="h-40 border border-rule" /> : <span>{alt}</span>;
}
