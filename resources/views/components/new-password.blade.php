{{-- A new password, twice, with what it must be --}}
@props(['rule' => \Nomada\App\View\Account\PasswordText::rule()])
<x-field name="password" type="password" :label="__('account.pass.new')" :hint="$rule" autocomplete="new-password" />
<x-field name="again" type="password" :label="__('account.pass.again')" autocomplete="new-password" />
