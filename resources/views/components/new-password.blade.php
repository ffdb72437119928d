{{-- A new password, twice, with what it must be --}}
@php $rule = __('account.pass.rule', ['n' => \Nomada\Core\Account\PasswordRule::LEAST]); @endphp
<x-field name="password" type="password" :label="__('account.pass.new')" :hint="$rule" autocomplete="new-password" />
<x-field name="again" type="password" :label="__('account.pass.again')" autocomplete="new-password" />
