<?php

declare(strict_types=1);

use Nomada\Core\Account\RecoveryCode;
use Nomada\Core\Account\Totp;

// RFC 6238, appendix B: the last six of its eight figures, for the ASCII key of twenty bytes.
test('codes are those of the RFC', function (int $at, string $code): void {
    expect((new Totp('12345678901234567890'))->code($at))->toBe($code);
})->with([
    [59, '287082'],
    [1111111109, '081804'],
    [1111111111, '050471'],
    [1234567890, '005924'],
    [2000000000, '279037'],
    [20000000000, '353130'],
]);

test('a key is base32, and read back however it is typed', function (): void {
    expect(Totp::secret('12345678901234567890'))->toBe('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ');
    expect(Totp::of('gezd gnbv gy3t qojq GEZDGNBVGY3TQOJQ==')->code(59))->toBe('287082');
    expect(Totp::address('GEZD', 'ana@x.example', 'Colegio Á'))->toBe(
        'otpauth://totp/Colegio%20%C3%81:ana%40x.example?secret=GEZD&issuer=Colegio%20%C3%81',
    );
});

test('the code of now counts, and those beside it, each once', function (): void {
    $totp = new Totp('12345678901234567890');
    $now = 1111111111;
    $step = intdiv($now, 30);
    foreach ([-1, 0, 1] as $beside) {
        expect($totp->stepOf($totp->code($now + 30 * $beside), $now))->toBe($step + $beside);
    }
    foreach ([-2, 2] as $far) {
        expect($totp->stepOf($totp->code($now + 30 * $far), $now))->toBeNull();
    }
    $code = $totp->code($now);
    expect($totp->stepOf(substr($code, 0, 3).' '.substr($code, 3), $now))->toBe($step);
    // Used: neither it nor an earlier one again.
    expect($totp->stepOf($code, $now, $step))->toBeNull();
    expect($totp->stepOf($totp->code($now - 30), $now, $step))->toBeNull();
    expect($totp->stepOf($totp->code($now + 30), $now, $step))->toBe($step + 1);
    expect($totp->stepOf('', $now))->toBeNull()->and($totp->stepOf('000000', 59))->toBeNull();
});

test('codes on paper are ten, without letters that look alike, and read however they are typed', function (): void {
    $n = 0;
    $codes = RecoveryCode::fresh(function (int $most) use (&$n): int {
        expect($most)->toBe(27);

        return $n++ % 28;
    });
    expect($codes)->toHaveCount(10)->and($codes[0])->toBe('bcdf-ghjk-mnpq')->and($codes[1])->toBe('rstv-wxyz-2345');
    expect(RecoveryCode::plain(' BCDF ghjk-MNPQ '))->toBe('bcdfghjkmnpq');
    expect(RecoveryCode::looksLikeOne('bcdf-ghjk-mnpq'))
        ->toBeTrue()
        ->and(RecoveryCode::looksLikeOne('123456'))
        ->toBeFalse()
        ->and(RecoveryCode::looksLikeOne('bcdf-ghjk-mnpo'))
        ->toBeFalse();
});
