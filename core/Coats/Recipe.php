<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\InvalidValue;

/** How one kind of coat is laid: what goes in, how long it takes, what to beware of, and how it cures. */
final readonly class Recipe
{
    public string $id;

    /** @var list<Ingredient> */
    public array $parts;

    /**
     * @param  list<Ingredient>  $parts
     * @param  list<string>  $tools
     * @param  list<Hazard>  $hazards
     * @param  list<array{do: string, why: string}>  $cautions
     * @param  array<string, string>  $needs family of the coat below, or * → milestone that it must have reached
     * @param  list<RecipeTrait>  $traits
     * @param  float|null  $length of fibres, mm
     * @param  array<string, array{float, float}>  $ranges pointer of a figure → its low and its high
     * @param  array<string, string>  $holds tool → milestone until which the coat keeps it
     * @param  list<Step>  $steps of which it is made in one go, in order; their parts are those of the recipe
     * @param  PourLimits|null  $pour what holds of it as water
     * @param  list<self>  $then what is done of the same coat once this has come so far, each an application of its own
     *
     * @throws InvalidValue
     */
    public function __construct(
        public CureFigures $cure,
        public string $name,
        public string $action,
        public Stage $stage,
        public Family $family,
        array $parts,
        public Labour $labour,
        public string $bed = 'area',
        public float $waste = 0.0,
        public float $recovered = 0.0,
        public array $tools = [],
        public array $hazards = [],
        public array $cautions = [],
        public array $needs = [],
        public bool $coversWhite = false,
        public ?float $angleOfReposeDeg = null,
        public string $check = '',
        public array $traits = [],
        public ?float $length = null,
        public string $undo = '',
        public array $ranges = [],
        public Provenance $provenance = Provenance::StartingValue,
        public ?FollowWindow $window = null,
        public array $holds = [],
        public array $steps = [],
        public array $then = [],
        public ?PourLimits $pour = null,
    ) {
        $parts = $steps === [] ? $parts : array_merge(...array_map(fn (Step $s): array => $s->parts, $steps));
        if ($parts === [] && $steps === []) {
            throw new InvalidValue('a recipe needs one part at least: what goes into it?', 'parts');
        }
        if (trim($name) === '' || trim($action) === '') {
            throw new InvalidValue('a recipe needs a short name and what one does with it', 'short');
        }
        if (! in_array($bed, ['area', 'track'], true)) {
            throw new InvalidValue('a bed is area or track', 'bed');
        }
        if ($length !== null) {
            InvalidValue::unlessBetween($length, 0.2, 30.0, 'The length of fibres', 'mm', 'length_mm');
        }
        foreach ($ranges as $at => [$low, $high]) {
            if ($low > $high) {
                throw new InvalidValue('The low figure is over the high one.', "ranges/{$at}");
            }
        }
        foreach ($needs as $below => $milestone) {
            if (($below !== '*' && Family::tryFrom($below) === null) || Milestone::tryFrom($milestone) === null) {
                throw new InvalidValue('what it needs is a family (or *) and a milestone', "needs/{$below}");
            }
        }
        foreach ($holds as $tool => $milestone) {
            if (! in_array($tool, $tools, true) || ! isset($cure->minutes[$milestone])) {
                throw new InvalidValue('What it keeps is one of its tools, until one of its milestones', "holds/{$tool}");
            }
        }
        InvalidValue::unlessBetween($waste, 0.0, 2.0, 'The waste', '', 'waste');
        InvalidValue::unlessBetween($recovered, 0.0, 0.9, 'The recovered share', '', 'recovered');
        if ($angleOfReposeDeg !== null) {
            InvalidValue::unlessBetween($angleOfReposeDeg, 5.0, 90.0, 'The resting angle', '°', 'resting_deg');
        }

        foreach ($steps as $k => $step) {
            if ($k > 0 && $step->after->waits()) {
                throw new InvalidValue('A step that waits begins an application of its own.', "steps/{$k}/after");
            }
            if ($step->after === StepRelation::IntoTheWet && ($k === 0 || ! self::isWet(array_slice($steps, 0, $k)))) {
                throw new InvalidValue('Nothing is wet yet that it could go into.', "steps/{$k}/after");
            }
        }
        foreach ($then as $k => $turn) {
            if ($turn->then !== []) {
                throw new InvalidValue('What follows stands in one row.', "then/{$k}/then");
            }
        }

        $this->id = $cure->id;
        $this->parts = $parts;
    }

    /** @param  list<Step>  $steps */
    private static function isWet(array $steps): bool
    {
        return array_filter($steps, fn (Step $s): bool => $s->wets()) !== [];
    }

    /** @return list<self> the applications of one pass, in order: itself, and what follows once it has come so far */
    public function turns(): array
    {
        return [$this, ...$this->then];
    }

    /** The recipe of the library that it is made of: without its way, and without its number in an act. */
    public function base(): string
    {
        return explode('+', $this->act())[0];
    }

    /** The way in which it is held; null where it says that itself. */
    public function way(): ?string
    {
        return explode('+', $this->act(), 2)[1] ?? null;
    }

    /** The coat that it is a part of: an application that follows another has that one's name and its number after a stroke. */
    public function act(): string
    {
        return explode('/', $this->id)[0];
    }

    /**
     * Minutes a dm² from the beginning of a wet step to the end of the last that goes into it, the longest of them: what has to be
     * done while that can be worked. What is worked by patches limits no strip.
     */
    public function openMinutesPerDm2(): ?float
    {
        $open = $chain = null;
        foreach ($this->steps as $step) {
            $chain = $step->after === StepRelation::IntoTheWet && $chain !== null ? $chain + $step->perDm2 : null;
            $open = $chain === null ? $open : max($open ?? 0.0, $chain);
            $chain ??= $step->wets() && ! $step->patch ? $step->perDm2 : null;
        }

        return $open ?? $this->labour->openPerDm2;
    }

    public function is(RecipeTrait ...$traits): bool
    {
        return array_filter($traits, fn (RecipeTrait $one): bool => in_array($one, $this->traits, true)) !== [];
    }

    /**
     * What a coat below must have reached before this one goes over it. What is shut in, sanded first or flattened by standing
     * fibres has to be dry through, whatever a recipe asks; passes of one and the same go on as it says.
     */
    public function needsOf(self $below): Milestone
    {
        $word = $this->needs[$below->family->value] ?? ($this->needs['*'] ?? Milestone::NextCoat->value);

        return $below->first($this->asksDryThrough($below) ? Milestone::DryThrough : Milestone::from($word));
    }

    /** When it is done, for what lies beside it. */
    public function done(): Milestone
    {
        return $this->first(Milestone::NextCoat);
    }

    /** Where a recipe has no such milestone, the one after it that it has is the safe one. */
    private function first(Milestone $wanted): Milestone
    {
        foreach ([$wanted, Milestone::NextCoat, Milestone::DryThrough, Milestone::TouchDry] as $milestone) {
            if (isset($this->cure->minutes[$milestone->value])) {
                return $milestone;
            }
        }

        return Milestone::WorkableUntil;
    }

    /** Whether a rule of the bench asks that a coat below be dry through before this one. */
    public function asksDryThrough(self $below): bool
    {
        return $below->act() !== $this->act() &&
            ($this->is(RecipeTrait::Seals) ||
                $below->is(RecipeTrait::Sand) ||
                ($this->family === Family::Fibre && $below->family === Family::Fibre && ! $this->is(RecipeTrait::Sprayed)));
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + array_diff_key(get_object_vars($this), ['id' => true]));
    }

    /** @return list<string> that it takes */
    public function materials(): array
    {
        return array_values(
            array_unique(array_merge(...array_map(fn (Ingredient $p): array => array_column($p->of, 'material'), $this->parts))),
        );
    }

    /** How many layers of its reference thickness a pass makes: what is thicker takes as much more of hands. A pour levels itself. */
    public function layers(float $mm): float
    {
        $layered = array_filter($this->parts, fn (Ingredient $p): bool => $p->isLayer()) !== [];

        return $layered && ! $this->is(RecipeTrait::Pour) ? $mm / $this->cure->referenceMm : 1.0;
    }

    /**
     * What one pass takes.
     *
     * @param  float  $area mm², of what is truly covered
     * @param  float  $bed mm³
     * @param  float  $edge mm of outline
     * @param  float  $length mm along it
     * @param  int  $things that stand there
     * @param  float  $wire mm
     * @return list<MaterialAmount>
     */
    public function amounts(float $area, float $bed, float $edge = 0.0, float $length = 0.0, int $things = 0, float $wire = 0.0): array
    {
        $out = [];
        foreach ($this->parts as $part) {
            foreach ($part->amounts($area, $bed, $edge, $length, $things, $wire) as $one) {
                $out[] = new MaterialAmount(
                    $one['material'],
                    $one['amount'] * (1.0 + $this->waste),
                    $one['unit'],
                    $part->loose ? $this->recovered : 0.0,
                );
            }
        }

        return $out;
    }
}
