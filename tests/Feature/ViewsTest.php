<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\File;
use ParseError;
use PhpToken;

/** Every view is PHP of the version that runs here, opened by a test or not, and no line of one is too long. */
final class ViewsTest extends FeatureCase
{
    private const MAX_WIDTH = 140;

    public function test_every_view_can_be_read(): void
    {
        $views = File::allFiles(resource_path('views'));
        $this->assertGreaterThan(70, count($views));
        foreach ($views as $view) {
            try {
                $this->assertNotSame([], PhpToken::tokenize(Blade::compileString($view->getContents()), TOKEN_PARSE));
            } catch (ParseError $error) {
                $this->fail("{$view->getRelativePathname()}: {$error->getMessage()}");
            }
            foreach (explode("\n", $view->getContents()) as $k => $line) {
                $this->assertLessThanOrEqual(self::MAX_WIDTH, mb_strlen($line), "{$view->getRelativePathname()}:".($k + 1));
            }
        }
    }
}
