{{-- Who has answered the invitation to a section's sessions. answers: InvitationAnswers --}}
@props(['answers'])
@if ($answers->invited > 0)
    <x-card :title="__('registration.answers.title')" :beside="__('registration.answers.of', ['n' => $answers->invited])">
        <p class="mb-1">
            <span class="ok">{{ trans_choice('registration.answers.accepted', $answers->count('accepted')) }}</span>
            <span class="todo">{{ trans_choice('registration.answers.tentative', $answers->count('tentative')) }}</span>
            <span class="bad">{{ trans_choice('registration.answers.declined', $answers->count('declined')) }}</span>
            <span class="quiet">{{ trans_choice('registration.answers.open', $answers->count('open')) }}</span>
        </p>
        <details>
            <summary>{{ __('registration.answers.who') }}</summary>
            <dl class="pairs">
                @foreach ($answers->names as $answer => $names)
                    @if ($names !== [])
                        <dt>{{ __("registration.answers.heads.$answer") }}</dt>
                        <dd>{{ implode(', ', $names) }}</dd>
                    @endif
                @endforeach
            </dl>
        </details>
    </x-card>
@endif
