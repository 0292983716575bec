<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use Cobblestone\Boot\Keys\SignatureList;
use Cobblestone\Boot\Keys\StoreEdit;

/** The keys of an emulated machine whose Secure Boot goes by the signers that a model trusts. */
final class TrustedStore
{
    /**
     * @param  list<string>  $signers  by their names in the catalogue
     * @param  string  $to  file that is written
     * @return list<string> signers whose certificate the bench does not have: their loaders are refused here
     */
    public static function write(array $signers, string $to): array
    {
        $lists = '';
        $missing = [];
        foreach ($signers as $signer) {
            $pem = (string) @file_get_contents(config('cobblestone.signers')."/{$signer}.pem", length: 65_536);
            $body = preg_match('/-----BEGIN CERTIFICATE-----(.+?)-----END/s', $pem, $found) === 1 ? $found[1] : '';
            $der = (string) base64_decode((string) preg_replace('/\s+/', '', $body), true);
            if ($der === '') {
                $missing[] = $signer;
            } else {
                $lists .= SignatureList::ofCertificate($der);
            }
        }
        $flash = (string) file_get_contents(EmulatedMachine::TEST_KEYS);
        file_put_contents($to, StoreEdit::with($flash, 'db', $lists));

        return $missing;
    }
}
