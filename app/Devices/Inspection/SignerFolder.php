<?php

namespace App\Devices\Inspection;

use Cobblestone\Media\Inspection\Signers;

/** The bench's folder of certificates that its machines trust (`*.pem`), and of what they revoked (`revoked.txt`). */
final class SignerFolder
{
    private const LARGEST = 65_536;

    public static function read(string $folder): Signers
    {
        $certificates = [];
        foreach (glob("{$folder}/*.pem") ?: [] as $file) {
            $pem = (string) file_get_contents($file, false, null, 0, self::LARGEST);
            if (str_contains($pem, '-----BEGIN CERTIFICATE-----')) {
                $certificates[basename($file, '.pem')] = $pem;
            }
        }
        if ($certificates === []) {
            return Signers::unknown();
        }
        $list = "{$folder}/revoked.txt";
        $revoked = null;
        if (is_file($list)) {
            preg_match_all(
                '/^\s*([0-9a-f]{64})\b/mi',
                (string) file_get_contents($list, false, null, 0, self::LARGEST * 16),
                $found,
            );
            $revoked = array_map('strtolower', $found[1]);
        }

        return new Signers(
            $certificates,
            $revoked,
            'the bench\'s certificates'.
                ($revoked === null ? '' : ', revocations of '.date('Y-m-d', (int) filemtime($list))),
        );
    }
}
