<?php

namespace App\Console\Commands;

use App\Devices\Build\BuildProgress;
use Cobblestone\Quantity\Bytes;
use Symfony\Component\Console\Output\OutputInterface;

/** BuildProgress as lines on a terminal. */
final class ConsoleProgress implements BuildProgress
{
    private string $title = '';

    private int $bytes = 0;

    private float $began = 0.0;

    private float $told = 0.0;

    public function __construct(private readonly OutputInterface $output)
    {
    }

    public function stage(string $title, int $bytes): void
    {
        [$this->title, $this->bytes, $this->began, $this->told] = [$title, $bytes, microtime(true), microtime(true)];
        $this->output->writeln($title.($bytes > 0 ? ', '.Bytes::of($bytes)->decimal() : ''));
    }

    public function at(int $bytes): void
    {
        if (microtime(true) - $this->told < 2) {
            return;
        }
        $this->told = microtime(true);
        $rate = $bytes / max(0.001, $this->told - $this->began);
        $left =
            $this->bytes > 0 && $rate > 0
                ? sprintf(', %d s left', (int) ceil(max(0, $this->bytes - $bytes) / $rate))
                : '';
        $this->output->writeln(
            sprintf('  %s: %s at %.1f MB/s%s', $this->title, Bytes::of($bytes)->decimal(), $rate / 1e6, $left),
        );
    }

    public function mustGoOn(): void
    {
    }
}
