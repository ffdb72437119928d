<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\Core\Account\PasswordRule;

/** What a password must be, in words. */
final class PasswordText
{
    public static function rule(): string
    {
        return (string) __('account.pass.rule', ['n' => PasswordRule::LEAST]);
    }
}
