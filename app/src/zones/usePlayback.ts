import { useEffect, useState } from 'react';
import { AccessibilityInfo } from 'react-native';

export interface Playback {
  /** The frame that is shown. */
  at: number;
  playing: boolean;
  seek: (frame: number) => void;
  toggle: () => void;
}

/** Frames a second: close together while much happens, far apart later, so time runs as it is reported. */
const PER_S = 16;

/** Go through frames by itself or by hand; nothing moves by itself where motion is unwanted. */
export function usePlayback(frames: number): Playback {
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [before, setBefore] = useState(frames);
  if (before !== frames) {
    setBefore(frames);
    setAt(0);
    setPlaying(false);
  }
  useEffect(() => {
    if (frames === 0) return undefined;
    let left = false;
    void AccessibilityInfo.isReduceMotionEnabled().then((still) => {
      if (!left && !still) setPlaying(true);
    });
    return () => {
      left = true;
    };
  }, [frames]);
  useEffect(() => {
    if (!playing) return undefined;
    const timer = setInterval(
      () =>
        setAt((before) => {
          if (before < frames - 1) return before + 1;
          setPlaying(false);
          return before;
        }),
      1000 / PER_S,
    );
    return () => clearInterval(timer);
  }, [playing, frames]);
  return {
    at: Math.min(at, Math.max(0, frames - 1)),
    playing,
    seek: (frame) => {
      setPlaying(false);
      setAt(frame);
    },
    toggle: () => {
      // At the end it starts over.
      if (!playing && at >= frames - 1) setAt(0);
      setPlaying(!playing);
    },
  };
}
