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
        foreach (PeImage::read($loader)?->singly() ?? [] as $one) {
            if ($this->isSound($one, $certificate) && $this->leadsTo($one, $certificate)) {
                return true;
            }
        }

        return false;
    }

    /** Whether its one signature is what its signer made of it, by a certificate that may be the right one. */
    private function isSound(string $loader, string $certificate): bool
    {
        return $this->withFile($loader, fn (string $file): bool => $this->withFile(
            $certificate,
            static fn (string $pem): bool => Command::of(
                ['sbverify', '--cert', $pem, $file],
                self::SECONDS,
            )->run() === 0,
        ));
    }

    /**
     * Whether the certificate of its signer leads to that one. The tool above answers yes to any certificate where a
     * signature brings a part of its own chain along, so the chain is followed by itself; as firmware does, without
     * a look at the clock, and up to whatever is enrolled.
     */
    private function leadsTo(string $loader, string $certificate): bool
    {
        $signer = $this->signerOf(PeImage::read($loader)?->signature() ?? '');
        if ($signer === null) {
            return false;
        }
        $sent = implode('', $this->certificates($loader));

        return $this->withFile($certificate, fn (string $trusted): bool => $this->withFile(
            $sent,
            fn (string $untrusted): bool => $this->withFile($signer, static fn (string $leaf): bool => Command::of([
                'openssl', 'verify', '-partial_chain', '-no_check_time', '-purpose', 'any', '-trusted', $trusted,
                '-untrusted', $untrusted, $leaf,
            ], self::SECONDS)->run() === 0),
        ));
    }

    /** The certificate of whoever made a signature, found by its number; null where it does not come along. */
    private function signerOf(string $signature): ?string
    {
        $said = $signature === '' ? '' : $this->withFile($signature, static function (string $file): string {
            $print = ['openssl', 'pkcs7', '-inform', 'DER', '-in', $file, '-print', '-noout'];
            $process = Command::of($print, self::SECONDS);
            $process->run();

            return $process->getOutput();
        });
        if (preg_match('/issuer_and_serial:.+?serial: (\S+)/s', $said, $number) !== 1) {
            return null;
        }
        foreach ($this->sent($signature) as $certificate) {
            if ((openssl_x509_parse($certificate)['serialNumber'] ?? null) === $number[1]) {
                return $certificate;
            }
        }

        return null;
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
