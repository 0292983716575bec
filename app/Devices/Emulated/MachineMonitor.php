<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

/**
 * The line by which an emulated machine is asked for its picture and says that it restarts (QMP, the QEMU Machine
 * Protocol). A machine that does not answer is one without a picture; nothing waits for it.
 */
final class MachineMonitor
{
    private const LONGEST = 1_000_000;

    /** @var resource|null */
    private $line = null;

    private string $rest = '';

    private int $resets = 0;

    public function __construct(private readonly string $socket)
    {
    }

    /** How often the machine has restarted by itself. */
    public function resets(): int
    {
        $this->listen();

        return $this->resets;
    }

    /** Asks for a picture as PNG; it is there a moment later. */
    public function picture(string $file): void
    {
        $this->listen();
        $this->say(['execute' => 'screendump', 'arguments' => ['filename' => $file, 'format' => 'png']]);
    }

    public function close(): void
    {
        if ($this->line !== null) {
            fclose($this->line);
        }
        $this->line = null;
    }

    /** @param  array<string, mixed>  $words */
    private function say(array $words): void
    {
        if ($this->line !== null) {
            @fwrite($this->line, json_encode($words, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n");
        }
    }

    /** @return resource|null */
    private function open()
    {
        $line = @stream_socket_client("unix://{$this->socket}", $fault, $why, 1);
        if ($line === false) {
            return null;
        }
        stream_set_blocking($line, false);
        $this->line = $line;
        $this->say(['execute' => 'qmp_capabilities']);

        return $line;
    }

    private function listen(): void
    {
        $line = $this->line ?? $this->open();
        if ($line === null) {
            return;
        }
        $this->rest .= (string) @fread($line, self::LONGEST);
        $lines = explode("\n", $this->rest);
        $this->rest = substr((string) array_pop($lines), 0, self::LONGEST);
        foreach ($lines as $said) {
            $words = json_decode($said, true);
            // The machine's own reset, not that of somebody who asks for it.
            $isReset = is_array($words) && ($words['event'] ?? '') === 'RESET';
            if ($isReset && ($words['data']['guest'] ?? false) === true) {
                $this->resets++;
            }
        }
    }
}
