<?php

declare(strict_types=1);

namespace App\Computed\Clock;

use App\Models\Layout;
use App\Models\Revision;
use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface;

/** Whether this machine's clock can be right: what was done last cannot lie ahead of it. */
final readonly class ClockDoubt
{
    /** Clocks of a house differ by so much, s. */
    private const MAX_DIFFERENCE_SECONDS = 300;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return string|null what to say about it */
    public function of(Layout $layout): ?string
    {
        $made = Revision::query()->where('layout_id', $layout->id)->orderByDesc('id')->value('made_at');
        if ($made === null) {
            return null;
        }
        $zone = new DateTimeZone($layout->zone);
        $last = new DateTimeImmutable((string) $made, new DateTimeZone('UTC'));
        $now = $this->clock->now();
        if ($last->getTimestamp() - $now->getTimestamp() <= self::MAX_DIFFERENCE_SECONDS) {
            return null;
        }

        return "This machine’s clock says {$now->setTimezone($zone)->format('D j M Y, H:i')}, but something was done here "
            ."on {$last->setTimezone($zone)->format('D j M Y, H:i')}. Set the "
            .'clock before anything is begun: what dries is reckoned by it.';
    }
}
