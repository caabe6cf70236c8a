<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;

/** A server and a browser that one run of the tests shares; both end with it. */
final class Bench
{
    /** @var list<resource> */
    private array $processes = [];

    private int $port;

    private ?int $scale = null;

    /** @var resource|null */
    private $server;

    private RemoteWebDriver $driver;

    private function __construct()
    {
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2).'/storage/framework/testing/browser';
    }

    public static function database(): string
    {
        return self::folder().'/ridge.sqlite';
    }

    public static function clear(): void
    {
        @mkdir(self::folder(), 0777, true);
        @unlink(self::clock());
        foreach (glob(self::folder().'/*.sqlite*') ?: [] as $file) {
            unlink($file);
        }
        touch(self::database());
        touch(self::folder().'/queue.sqlite');
    }

    public static function start(): self
    {
        $self = new self();
        register_shutdown_function(fn () => $self->stop());
        $root = dirname(__DIR__, 2);
        $self->port = self::freePort();
        $self->serve();
        $driver = self::freePort();
        $self->processes[] = $self->run(['setsid', 'chromedriver', "--port={$driver}"], $root, []);
        self::await($self->port);
        self::await($driver);

        $options = new ChromeOptions();
        $profile = sys_get_temp_dir().'/idle-ridge-browser-'.getmypid();
        $options->addArguments([
            '--headless',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--no-first-run',
            '--disable-dev-shm-usage',
            '--force-device-scale-factor=1',
            '--window-size=1280,800',
            "--user-data-dir={$profile}",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $self->driver = RemoteWebDriver::create("http://127.0.0.1:{$driver}", $capabilities, 60_000, 120_000);

        return $self;
    }

    /** The server ends and begins again, on the same port, with the same database. */
    public function restart(): void
    {
        if ($this->server !== null) {
            $this->end($this->server);
        }
        $this->serve();
        self::await($this->port);
    }

    public static function clock(): string
    {
        return self::folder().'/clock';
    }

    /** The scale at the bench: a stand-in, served beside. It begins with the first who asks. */
    public function scale(): string
    {
        if ($this->scale === null) {
            $this->scale = self::freePort();
            $root = dirname(__DIR__, 2);
            $served = ['setsid', $root.'/bin/php', '-S', "127.0.0.1:{$this->scale}", 'devices/logger.php'];
            $this->processes[] = $this->run($served, $root, []);
            self::await($this->scale);
        }

        return "http://127.0.0.1:{$this->scale}/scale";
    }

    /** Puts so much on it, g. */
    public function weigh(float $grams): void
    {
        file_get_contents($this->scale()."/{$grams}");
    }

    public function browser(): RemoteWebDriver
    {
        return $this->driver;
    }

    public function address(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    /** Sets the size of the page itself, not of the window around it. */
    public function window(int $width, int $height): void
    {
        $this->command('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);
    }

    /** @param  list<array{0: 'move'|'down'|'up', 1?: int, 2?: int}>  $steps */
    public function pointer(array $steps): void
    {
        [$x, $y] = [0, 0];
        $down = false;
        foreach ($steps as $step) {
            if ($step[0] === 'move') {
                [$x, $y] = [$step[1] ?? $x, $step[2] ?? $y];
            }
            $down = $step[0] === 'down' || ($down && $step[0] !== 'up');
            $type = ['move' => 'mouseMoved', 'down' => 'mousePressed', 'up' => 'mouseReleased'][$step[0]];
            $this->command('Input.dispatchMouseEvent', [
                'type' => $type,
                'x' => $x,
                'y' => $y,
                'button' => $step[0] === 'move' && ! $down ? 'none' : 'left',
                'buttons' => $down ? 1 : 0,
                'clickCount' => $step[0] === 'move' ? 0 : 1,
            ]);
        }
    }

    /** @param  array<string, mixed>  $parameters */
    private function command(string $name, array $parameters): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $name, 'params' => $parameters]);
    }

    private function stop(): void
    {
        if (isset($this->driver)) {
            try {
                $this->driver->quit();
            } catch (\Throwable) {
                // It goes with its process.
            }
        }
        foreach ([...$this->processes, ...array_filter([$this->server])] as $process) {
            $this->end($process);
        }
    }

    /** @param  resource  $process */
    private function end($process): void
    {
        $status = proc_get_status($process);
        if ($status['running']) {
            posix_kill(-$status['pid'], SIGTERM);
        }
        proc_close($process);
    }

    private function serve(): void
    {
        $root = dirname(__DIR__, 2);
        $this->server = $this->run(
            ['setsid', $root.'/bin/php', '-S', "127.0.0.1:{$this->port}", '-t', 'public', 'public/server.php'],
            $root,
            [
                'DB_DATABASE' => self::database(),
                'SESSION_DRIVER' => 'file',
                'CACHE_STORE' => 'file',
                'PHP_CLI_SERVER_WORKERS' => '2',
                'RIDGE_CLOCK_FILE' => self::clock(),
            ],
        );
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     * @return resource
     */
    private function run(array $command, string $folder, array $environment)
    {
        $log = self::folder().'/'.basename($command[1]).'.log';
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
            $folder,
            $environment + getenv(),
        );
        if ($process === false) {
            throw new RuntimeException("{$command[1]} does not start.");
        }

        return $process;
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free.');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    private static function await(int $port): void
    {
        for ($k = 0; $k < 200; $k++) {
            $socket = @fsockopen('127.0.0.1', $port);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException("Nothing answers on port {$port}.");
    }
}
