import type { ReactNode } from "react";
import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import styled from "styled-components";

const Back = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(10 18 23 / 0.55);
  display: grid;
  place-items: center;
  z-index: 10;
`;

const Card = styled(Modal)`
  background: var(--panel, #fff);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 6px;
  box-shadow: 0 12px 40px rgb(0 0 0 / 0.35);
  padding: 24px 28px;
  width: min(560px, 92vw);
  max-height: 86vh;
  overflow: auto;
`;

const Title = styled(Heading)`
  font-size: 18px;
  margin: 0 0 16px;
`;

interface Props {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A dialog over the screen; Escape or a press beside it closes it. */
export function Overlay({ title, isOpen, onClose, children }: Props) {
  return (
    <Back isOpen={isOpen} isDismissable onOpenChange={(open) => !open && onClose()} className="stage-dark">
      <Card>
        <Dialog style={{ outline: "none" }}>
          <Title slot="title">{title}</Title>
          {children}
        </Dialog>
      </Card>
    </Back>
  );
}
