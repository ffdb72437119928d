{{-- What its teachers have asked for --}}
<x-card :title="__('requests.title')">
    <ul class="history">
        @foreach ($page->plan->requests as $one)
            <li><span class="nowrap">{{ $one->at }}</span><span>{{ $one->by }}</span>
                <span>{{ $one->what }} <small>{{ __("requests.states.{$one->state->value}") }}@if ($one->answer !== '')
                            : {{ $one->answer }}
                        @endif
                    </small></span>
                <span class="nowrap">
                    @if ($one->state->value === 'open')
                        @can('coordinate')
                            <a class="btn btn-side py-0"
                                href="{{ route('requests') }}#request-{{ $one->id }}">{{ __('requests.decide') }}</a>
                        @endcan
                        @if ($one->isOwn)
                            <x-act :to="route('requests.withdraw', $one->id)" method="delete" class="btn-side py-0"
                                :do="__('requests.withdraw')" :about="$one->what" />
                        @endif
                    @endif
                </span>
            </li>
        @endforeach
    </ul>
</x-card>
