<?php

/**
 * A setup-information file: the head, then the given sections.
 *
 * @param  array<string, list<string>>  $sections  name => lines
 */
function setupFile(array $sections, string $stamp = '07/03/2026, 22.9.0.1', string $more = ''): string
{
    $text = "[Version]\r\nClass=Net\r\nProvider=%Quarrel%\r\nDriverVer={$stamp}\r\n{$more}\r\n";
    foreach ($sections + ['Strings' => ['Quarrel="Quarrel"', 'W2="Quarrel W2 wireless"']] as $name => $lines) {
        $text .= "[{$name}]\r\n".implode("\r\n", $lines)."\r\n";
    }

    return $text;
}
