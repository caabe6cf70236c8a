<?php

declare(strict_types=1);

namespace Tests\Bench;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PDO;
use Tests\Browser\Bench;

/** A board on the Layout sheet: how soon it follows the hand, and how soon it lies where it was let go, with the land on it. */
final class BoardBench
{
    /** @return list<array{string, list<float>, string}> */
    public static function measure(Bench $bench, RemoteWebDriver $browser, PDO $database, string $layout): array
    {
        $board = (string) $database->query("select uid from sections where name = 'Fell Halt'")->fetchColumn();
        $browser->get($bench->address()."/layouts/{$layout}/settings");
        $held = $laid = [];
        for ($k = 0; $k < 12; $k++) {
            // Away from the others and back.
            [$held[], $laid[]] = $browser->executeAsyncScript(self::DRAG, [$board, $k % 2 === 0 ? 30 : -30]);
        }

        return [
            ['A board dragged, until it follows', array_slice($held, 2), '50 ms'],
            ['A board let go, until it lies there', array_slice($laid, 2), '300 ms'],
        ];
    }

    private const DRAG = <<<'JS'
        const [uid, by, done] = arguments;
        const board = document.querySelector(`[data-board="${uid}"]`);
        board.setPointerCapture = () => {};
        const box = board.getBoundingClientRect();
        const at = (type, step) => board.dispatchEvent(new PointerEvent(type, {
            bubbles: true, pointerId: 1, button: 0,
            clientX: box.x + box.width / 2 + step, clientY: box.y + box.height / 2 - step,
        }));
        const frames = (then) => requestAnimationFrame(() => requestAnimationFrame(then));
        at('pointerdown', 0);
        const moved = performance.now();
        at('pointermove', by);
        frames(() => {
            const followed = performance.now() - moved;
            const dropped = performance.now();
            document.addEventListener('htmx:afterSettle', () => frames(
                () => done([followed, performance.now() - dropped]),
            ), { once: true });
            at('pointerup', by);
        });
    JS;
}
