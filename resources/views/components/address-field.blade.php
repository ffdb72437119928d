{{-- By what somebody signs in --}}
@props(['hint' => null])
<x-field name="email" :label="__('account.sign_in.label')" :hint="$hint" autocomplete="username" autocapitalize="none" spellcheck="false" />
