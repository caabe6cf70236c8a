<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** A way as it was chosen: an order, what wets and what holds, and how strong they are. */
final readonly class Way
{
    /**
     * @param  float|null  $strength of alcohol, %
     * @param  float  $parts of glue to `water` of water
     */
    public function __construct(
        public WayOrder $order,
        public ?Wetting $wetting = null,
        public ?float $strength = null,
        public ?ThinnedGlue $glue = null,
        public float $parts = 1.0,
        public float $water = 0.0,
    ) {
    }

    /** As it stands in files and in the ids of recipes: `flooded+alcohol-33+white-1-3`. */
    public function text(): string
    {
        return implode(
            '+',
            array_filter([
                $this->order->key,
                $this->wetting === null ? '' : $this->wetting->key.($this->strength === null ? '' : '-'.round($this->strength)),
                $this->glue === null ? '' : "{$this->glue->key}-{$this->parts}-{$this->water}",
            ]),
        );
    }

    /** In words of the bench: “laid dry, wetted, flooded, alcohol 33 %, white glue 1:3”. */
    public function words(): string
    {
        return implode(', ', array_filter([$this->order->name, $this->wettingWord(), $this->glueWord()]));
    }

    public function wettingWord(): string
    {
        return $this->wetting === null ? '' : $this->wetting->name.($this->strength === null ? '' : ' '.round($this->strength).' %');
    }

    public function glueWord(): string
    {
        return match (true) {
            $this->glue === null => '',
            $this->water <= 0.0 || ! $this->order->thins() => $this->glue->name,
            default => "{$this->glue->name} {$this->parts}:{$this->water}",
        };
    }
}
