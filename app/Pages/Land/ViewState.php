<?php

declare(strict_types=1);

namespace App\Pages\Land;

/** Where somebody looks: the run and station (or x) of the cut line, what is picked, which tab of it is open, the plan's tint. */
final readonly class ViewState
{
    public const TINTS = ['heights', 'slope', 'damp', 'sun', 'sight'];

    public function __construct(
        public ?string $run = null,
        public ?float $station = null,
        public ?float $x = null,
        public ?string $picked = null,
        public string $tab = 'line',
        public ?float $atX = null,
        public ?float $atY = null,
        public string $tint = 'heights',
    ) {
    }

    /** @param  array<string, mixed>  $query */
    public static function from(array $query): self
    {
        $number = fn (string $key): ?float => is_numeric($query[$key] ?? null) ? (float) $query[$key] : null;
        $word = fn (string $key): ?string => is_string($query[$key] ?? null) && $query[$key] !== '' ? $query[$key] : null;
        $tab = $word('tab');

        return new self(
            $word('run'),
            $number('st'),
            $number('cx'),
            $word('pick'),
            in_array($tab, ['line', 'grade', 'formation', 'structures'], true) ? $tab : 'line',
            $number('at_x'),
            $number('at_y'),
            in_array($word('tint'), self::TINTS, true) ? (string) $word('tint') : 'heights',
        );
    }

    public function picking(?string $uid, ?string $tab = null): self
    {
        return new self($this->run, $this->station, $this->x, $uid, $tab ?? $this->tab, tint: $this->tint);
    }

    public function followingRun(string $uid): self
    {
        return new self($uid, null, null, $this->picked, $this->tab, tint: $this->tint);
    }
}
