<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Strip;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Project\Section;

/** An application still to lay: one pass of a coat on a strip of its zone, done in one go. Areas are true surface, mm². */
final readonly class Move
{
    /** The recipe of this application. */
    public Recipe $recipe;

    /**
     * @param  int  $pass which of its coat's applications it is, counted from 1
     * @param  list<MaterialAmount>  $amounts
     */
    public function __construct(
        public string $id,
        public Section $section,
        public Zone $zone,
        public Coat $coat,
        public int $pass,
        public int $strip,
        public int $strips,
        public Strip $band,
        public float $area,
        public float $track,
        public int $minutes,
        public array $amounts,
    ) {
        $this->recipe = $coat->recipeOf($pass);
    }

    /** What one does, in words of the bench. */
    public function title(): string
    {
        $coat = match (true) {
            $this->coat->name === '' => $this->recipe->action,
            $this->recipe === $this->coat->recipe => $this->coat->name,
            default => "{$this->coat->name}: {$this->recipe->action}",
        };

        return $coat.
            ($this->coat->passes > 1 ? ', pass '.$this->coat->passOf($this->pass) : '').
            ($this->strips > 1 ? ", strip {$this->strip} of {$this->strips}" : '');
    }

    /** What it is called for short. */
    public function name(): string
    {
        return $this->recipe === $this->coat->recipe ? $this->coat->title() : $this->recipe->name;
    }

    /**
     * Where it is done: what of its zone lies in its strip.
     *
     * @param  list<list<array{float, float}>>  $zone the zone's outlines, section coordinates
     * @return list<list<array{float, float}>>
     */
    public function patch(array $zone): array
    {
        return $this->band->of($zone);
    }

    /** The id of the strip before this one. */
    public function before(): string
    {
        return self::id($this->coat->uid, $this->pass, $this->strip - 1);
    }

    public static function id(string $coat, int $pass, int $strip): string
    {
        return "{$coat}.{$pass}.{$strip}";
    }

    public function place(): string
    {
        return "{$this->section->name}, {$this->zone->name}";
    }
}
