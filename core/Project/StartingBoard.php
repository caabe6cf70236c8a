<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

/** What a new layout may begin with. */
enum StartingBoard: string
{
    case Bare = 'bare';
    case HaltOnBank = 'halt-on-bank';
    case CurveThroughCutting = 'curve-through-cutting';
    case PondAtFront = 'pond-at-front';
    case PlainWithRoad = 'plain-with-road';

    public function title(): string
    {
        return match ($this) {
            self::Bare => 'Bare board',
            self::HaltOnBank => 'Halt on a bank',
            self::CurveThroughCutting => 'Curve through a cutting',
            self::PondAtFront => 'Pond at the front edge',
            self::PlainWithRoad => 'Plain with a road',
        };
    }

    /** What lies on it, in a sentence. */
    public function says(): string
    {
        return match ($this) {
            self::Bare => 'Nothing but the board: the track is yours to lay.',
            self::HaltOnBank => 'A track on a bank that climbs gently, and a level place beside it for a platform.',
            self::CurveThroughCutting => 'The track bends through a rise and comes out on the other side.',
            self::PondAtFront => 'Water before the viewer, the track behind it on a low bank.',
            self::PlainWithRoad => 'Nearly flat ground, and a road that crosses the track on the level.',
        };
    }
}
