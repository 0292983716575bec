<?php

namespace App\Devices\Inspection;

use App\Devices\Command;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\SignatureTool;

/** Signatures of boot loaders through `sbverify` from Debian's sbsigntool. */
final class SbverifyTool implements SignatureTool
{
    private const SECONDS = 20;

    /** @var array<string, list<string>> */
    private array $signers = [];

    public function signers(string $loader): array
    {
        return $this->signers[sha1($loader)] ??= $this->withFile($loader, static function (string $file): array {
            $process = Command::of(['sbverify', '--list', $file], self::SECONDS);
            $process->run();
            preg_match_all('#^\s*-\s*subject:\s*(.+)$#m', mb_scrub($process->getOutput()), $found);

            return array_values(
                array_unique(
                    array_map(static fn (string $subject): string => mb_substr(trim($subject), 0, 200), $found[1]),
                ),
            );
        });
    }

    public function certificates(string $loader): array
    {
        $found = [];
        foreach (PeImage::read($loader)?->singly() ?? [] as $one) {
            array_push($found, ...$this->sent(PeImage::read($one)?->signature() ?? ''));
        }

        return array_slice(array_values(array_unique($found)), 0, 16);
    }

    /** @return list<string> the certificates that come with one signature, as PEM */
    private function sent(string $signature): array
    {
        return $signature === ''
            ? []
            : $this->withFile($signature, static function (string $file): array {
                $process = Command::of(
                    ['openssl', 'pkcs7', '-inform', 'DER', '-in', $file, '-print_certs'],
                    self::SECONDS,
                );
                $process->run();
                preg_match_all(
                    '/-----BEGIN CERTIFICATE-----.+?-----END CERTIFICATE-----\n/s',
                    $process->getOutput(),
                    $found,
                );

                return array_slice($found[0], 0, 16);
            });
    }

    public function chainsTo(string $loader, string $certificate): bool
    {
        // Of a file with several signatures the tool says that it is well whatever certificate it is given.
        foreach (PeImage::read($loader)?->singly() ?? [] as $one) {
            $holds = $this->withFile($one, fn (string $file): bool => $this->withFile(
                $certificate,
                static fn (string $pem): bool => Command::of(
                    ['sbverify', '--cert', $pem, $file],
                    self::SECONDS,
                )->run() === 0,
            ));
            if ($holds) {
                return true;
            }
        }

        return false;
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $use
     * @return T
     */
    private function withFile(string $bytes, callable $use): mixed
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'cobble');
        file_put_contents($file, $bytes);
        try {
            return $use($file);
        } finally {
            @unlink($file);
        }
    }
}
