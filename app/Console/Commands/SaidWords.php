<?php

declare(strict_types=1);

namespace App\Console\Commands;

/** Arguments and options of a command as the texts they were typed as. */
trait SaidWords
{
    /** Empty where it was not given. */
    private function said(string $argument): string
    {
        $value = $this->argument($argument);

        return is_string($value) ? $value : '';
    }

    /** null where it was not given. */
    private function chosen(string $option): ?string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : null;
    }
}
