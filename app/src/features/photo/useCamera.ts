import { useEffect, useRef, useState, type RefObject } from 'react';

/** The rear camera's picture in a `video` element while something is shown; `onProblem` where it may not be used. */
export function useCamera(onProblem: () => void): {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly ready: boolean;
} {
  const video = useRef<HTMLVideoElement | null>(null);
  const [ready, setReady] = useState(false);
  const problem = useRef(onProblem);
  useEffect(() => {
    problem.current = onProblem;
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let gone = false;
    const open = async () => {
      try {
        const opened = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (gone) return opened.getTracks().forEach((track) => track.stop());
        stream = opened;
        if (!video.current) return;
        video.current.srcObject = opened;
        await video.current.play();
        setReady(true);
      } catch {
        problem.current();
      }
    };
    void open();
    return () => {
      gone = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return { video, ready };
}
