<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** In which order loose material, what wets it and what holds it go on. */
final readonly class WayOrder
{
    /**
     * @param  list<Family>  $for kinds of material that are laid so
     * @param  list<string>  $wrong
     * @param  list<WayStep>  $steps
     * @param  list<WayTurn>  $then
     * @param  string  $glue usual one, as `white-1-3`
     * @param  string  $wetting usual one, or '' where nothing is wetted
     * @param  string|null  $as recipe that holds it, where no glue does
     * @param  list<string>|null  $tools in the place of the material's
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $suits,
        public array $for,
        public string $action,
        public array $steps,
        public array $then = [],
        public array $wrong = [],
        public string $glue = '',
        public string $wetting = '',
        public ?string $as = null,
        public ?array $tools = null,
        public bool $coversWhite = false,
    ) {
        if (array_filter($steps, fn (WayStep $s): bool => $s->fill === 'loose') === []) {
            throw new InvalidValue("The way “{$key}” never lays what it is about.", $key);
        }
        if ($this->takesGlue() !== ($glue !== '') || $this->wets() !== ($wetting !== '')) {
            throw new InvalidValue("The way “{$key}” names a glue and a wetting where it takes them, and else none.", $key);
        }
    }

    public function takesGlue(): bool
    {
        return array_filter($this->all(), fn (WayStep $s): bool => $s->takesGlue()) !== [];
    }

    public function wets(): bool
    {
        return array_filter($this->all(), fn (WayStep $s): bool => $s->fill === 'wetting') !== [];
    }

    /** Whether how much water is in the glue makes a difference. */
    public function thins(): bool
    {
        return array_filter($this->all(), fn (WayStep $s): bool => $s->takesGlue() && $s->fill !== 'neat') !== [];
    }

    /** @return list<WayStep> */
    private function all(): array
    {
        return array_merge($this->steps, ...array_map(fn (WayTurn $t): array => $t->steps, $this->then));
    }
}
