<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Water\WaterBody;

/** The waters of one board worked out: what they hold, where they would run, where they leave the scene, and its mirrors. */
final readonly class WaterSurvey
{
    /**
     * @param  list<WaterBody>  $bodies
     * @param  array<string, string>  $ways uid of a water → where it would run, in words
     * @param  array<string, list<array{run: string, station: float, at: array{float, float}, lid: float}>>  $tunnels uid → those under it
     * @param  list<array{name: string, other: string, joint: string, at: array{float, float}, step: float}>  $steps where another water
     *     goes on over a joint
     * @param  list<StreamEnd>  $ends
     * @param  list<MirrorFit>  $mirrors
     */
    public function __construct(
        public string $section,
        public array $bodies,
        public array $ways,
        public array $tunnels,
        public array $steps,
        public array $ends,
        public array $mirrors,
    ) {
    }

    public static function of(WaterStudy $study): self
    {
        $ways = $tunnels = [];
        foreach ($study->bodies() as $body) {
            $ways[$body->uid] = $study->way($body);
            $tunnels[$body->uid] = $study->tunnelsUnder($body);
        }
        $works = $study->project->works;
        $mirrors = $works->waters->mirrorsOn($study->section->uid);
        $needsSight = $mirrors !== [] || array_filter($study->bodies(), fn (WaterBody $b): bool => $b->dams !== []) !== [];
        $ends = $needsSight
            ? new WaterEnds($study->project, $study->section, $study->model, $works->growth->standsOn($study->section->uid))
            : null;

        return new self(
            $study->section->uid,
            $study->bodies(),
            $ways,
            $tunnels,
            $study->steps(),
            $ends?->ends($study->bodies()) ?? [],
            $ends === null ? [] : array_map($ends->fit(...), $mirrors),
        );
    }

    public function body(string $uid): ?WaterBody
    {
        return array_values(array_filter($this->bodies, fn (WaterBody $b): bool => $b->uid === $uid))[0] ?? null;
    }
}
