<?php

use Cobblestone\Drivers\Setup\SetupReader;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Worked;

/** Bytes turned, cut, doubled and put in at random, and words of the format where they do not belong. */
function mutated(string $text, Randomizer $random): string
{
    for ($i = $random->getInt(1, 6); $i > 0; $i--) {
        $at = $random->getInt(0, max(0, strlen($text) - 1));
        $some = $random->getInt(0, 40);
        $text = match ($random->getInt(0, 5)) {
            0 => substr_replace($text, chr($random->getInt(0, 255)), $at, 1),
            1 => substr($text, 0, $at),
            2 => substr_replace($text, '', $at, $some),
            3 => substr_replace($text, substr($text, $random->getInt(0, max(0, strlen($text) - 1)), $some * 4), $at, 0),
            4 => substr_replace($text, ['[', ']', '%', '"', '\\', "\n", ';', '=', ',', "\0"][$some % 10], $at, 0),
            default => substr_replace(
                $text,
                ["\n[Manufacturer]\n", 'NTamd64.', 'ExcludeID=', '%%', 'PCI\VEN_', "\xFF\xFE"][$some % 6],
                $at,
                0,
            ),
        };
    }

    return $text;
}

it('reads a spoiled file without an end to it, an error or a claim that is none', function () {
    $whole = setupFile([
        'Manufacturer' => ['%Quarrel%=M,NTamd64.10.0...7100,NTarm64'],
        'M.NTamd64.10.0...7100' => ['%W2%=I,PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52,*FNCK0704'],
        'M.NTarm64' => ['%W2%=I,PCI\VEN_51A2&DEV_0202'],
        'I.NT' => ['ExcludeID=PCI\VEN_51A2&DEV_0202&REV_01'],
    ], more: 'CatalogFile=quarrel.cat');
    $random = new Randomizer(new Mt19937(20261129));
    $slowest = 0.0;
    // FUZZ=100000 runs the whole of it.
    for ($left = (int) (getenv('FUZZ') ?: 4000); $left > 0; $left--) {
        $text = mutated($random->getInt(0, 3) === 0 ? "\xFF\xFE".iconv('UTF-8', 'UTF-16LE', $whole) : $whole, $random);
        $begun = Worked::seconds();
        $setup = SetupReader::read($text);
        if (Worked::seconds() - $begun > 0.4) {
            // Once more, by a measure of how busy the machine is.
            $slowest = max($slowest, Worked::calmly(fn () => SetupReader::read($text)));
        }
        foreach ($setup->claims as $claim) {
            if (! mb_check_encoding($claim->description, 'UTF-8') || $claim->identifier->forms() === []) {
                throw new RuntimeException(bin2hex($text));
            }
        }
        foreach ($setup->faults as $fault) {
            if (! mb_check_encoding($fault, 'UTF-8')) {
                throw new RuntimeException(bin2hex($text));
            }
        }
    }
    expect($slowest)->toBeLessThan(0.5);
})->group('slow');
