<?php

return [
    'suffice' => '{0}no account is needed|{1}1 account suffices|[2,*]:count accounts suffice:which',
    'handing' => '{0}It clashes with nothing there.|{1}1 clash would arise on it: :which.|'.
        '[2,*]:count clashes would arise on it, the first: :which.',
];
