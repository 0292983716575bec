<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Cobblestone\Text\Visible;
use Illuminate\Console\Command;
use Symfony\Component\Console\Formatter\OutputFormatter;

/**
 * A command whose lines hold names out of files and briefs: nothing in them steers the terminal, colours it or hides
 * a word.
 */
abstract class PlainCommand extends Command
{
    /**
     * @param  string  $string
     * @param  'alert'|'comment'|'error'|'info'|'question'|'warn'|null  $style
     * @param  8|16|32|64|128|256|'normal'|'quiet'|'v'|'vv'|'vvv'|null  $verbosity
     */
    public function line($string, $style = null, $verbosity = null): void
    {
        parent::line(OutputFormatter::escape(Visible::of((string) $string)), $style, $verbosity);
    }
}
